/** Who did what, when and from where. */
package org.unrulymarble.server.audit;
