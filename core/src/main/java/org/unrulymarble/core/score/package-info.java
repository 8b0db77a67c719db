/** The run: its script, its log of events, and what the log says was scored. */
package org.unrulymarble.core.score;
