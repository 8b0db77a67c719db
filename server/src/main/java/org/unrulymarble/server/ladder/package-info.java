/** The catalogue of ladders, as the screens ask for it. */
package org.unrulymarble.server.ladder;
