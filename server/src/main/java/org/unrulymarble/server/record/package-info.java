/** Attempts, kept for good; everything concluded from them is worked out by the core when asked. */
package org.unrulymarble.server.record;
