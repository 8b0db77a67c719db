/** A lesson played many times before it is taught: what is likely to come of it. */
package org.unrulymarble.core.rehearse;
