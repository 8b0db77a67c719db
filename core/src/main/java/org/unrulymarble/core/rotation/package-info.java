/** Who goes where, with whom and in which part, round by round. */
package org.unrulymarble.core.rotation;
