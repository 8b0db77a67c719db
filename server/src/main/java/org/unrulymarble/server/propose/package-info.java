/** Proposes lessons: the solver behind the core's question. */
package org.unrulymarble.server.propose;
