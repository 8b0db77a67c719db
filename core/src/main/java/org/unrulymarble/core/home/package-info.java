/** Practice at home: a card for one pupil, and what comes back from it. */
package org.unrulymarble.core.home;
