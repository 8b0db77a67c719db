/** Where a thrown ball goes: under a ceiling, over a net, back off a wall. No air drag; g = 9.81 m/s^2. */
package org.unrulymarble.core.flight;
