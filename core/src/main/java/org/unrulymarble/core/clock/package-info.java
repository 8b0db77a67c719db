/** How long a lesson really takes, and second by second what happens in it. */
package org.unrulymarble.core.clock;
