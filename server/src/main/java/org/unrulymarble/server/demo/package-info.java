/** The demo world: an invented school, and a seeded model of its pupils that makes their tries. Only in the demo. */
package org.unrulymarble.server.demo;
