/** Attempts, and what can be concluded from them: bests, completed challenges. Nothing here is stored as a conclusion. */
package org.unrulymarble.core.record;
