/** Practice at home: cards that go out, and what comes back from them. */
package org.unrulymarble.server.home;
