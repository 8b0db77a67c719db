/** How a round is scored: one sealed type a measure, what its taps come to, the gates it may have, and what makes two results comparable. */
package org.unrulymarble.core.measure;
