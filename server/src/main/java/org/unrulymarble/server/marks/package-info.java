/** The reckonings, served straight from the core. */
package org.unrulymarble.server.marks;
