/** Lessons as plans: kept with a version, worked out by the core on every change. */
package org.unrulymarble.server.lesson;
