/** Rooms, and how many can work in them at once. Lengths in metres. */
package org.unrulymarble.core.place;
