/** Which lesson is worth most: what it is worth, exactly, and a quick search for a good one. What proves it lies outside, behind an interface. */
package org.unrulymarble.core.propose;
