/** What comes in from the network, before anybody is asked: how fast, how much at once, how much from one machine. */
package org.unrulymarble.server.connections;
