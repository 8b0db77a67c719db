/** How good an aim is, and what to correct: rings and landings. Lengths of targets in centimetres. */
package org.unrulymarble.core.aim;
