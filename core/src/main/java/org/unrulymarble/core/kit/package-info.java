/** What a task is done with, and what may stand in for it. */
package org.unrulymarble.core.kit;
