/** Runs: the script as it stood at the start, and the log of what was done; the core folds it. */
package org.unrulymarble.server.run;
