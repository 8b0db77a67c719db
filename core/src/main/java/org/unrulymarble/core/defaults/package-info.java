/** Planning values: our own figures by age and kind of ball, in one file that a school may change. Starting points, never standards. */
package org.unrulymarble.core.defaults;
