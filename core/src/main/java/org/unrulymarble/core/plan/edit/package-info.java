/** Every change of a lesson as a value: the screen sends edits, mends are made of them, and undo is the edit before. */
package org.unrulymarble.core.plan.edit;
