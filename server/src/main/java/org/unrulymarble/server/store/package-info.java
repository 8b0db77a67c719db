/** What there is: classes, pupils, spaces; and who may see which class. */
package org.unrulymarble.server.store;
