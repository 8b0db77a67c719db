/** Devices beside a run: a pad at the wall, a gate, a clicker, a board. They know a code and a spot, and no name. */
package org.unrulymarble.server.device;
