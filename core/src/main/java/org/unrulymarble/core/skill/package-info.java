/** What a pupil can do on a ladder, read from every try on it; how hard rungs are, and what the school's own records teach about both. */
package org.unrulymarble.core.skill;
