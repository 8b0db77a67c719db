/** How a core value refuses bad input: as data that names each field, never as a sentence glued together. */
package org.unrulymarble.core.check;
