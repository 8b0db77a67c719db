/** The run: its script, its log of events, where its clock stands, who was on what, and what the log says was scored. */
package org.unrulymarble.core.run;
