/** What is likely: streaks, odds, mastery. */
package org.unrulymarble.core.chance;
