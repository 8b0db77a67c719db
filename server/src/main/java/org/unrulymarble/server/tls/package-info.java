/** An encrypted connection: the machine's own authority and certificate, and how a school's device comes to trust it. */
package org.unrulymarble.server.tls;
