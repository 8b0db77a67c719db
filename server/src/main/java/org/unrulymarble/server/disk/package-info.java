/** What is on the disk: forced there, room left, checked, backed up and restored. */
package org.unrulymarble.server.disk;
