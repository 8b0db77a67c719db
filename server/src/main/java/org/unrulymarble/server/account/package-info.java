/** Who may come in: accounts, signing in, the first teacher. */
package org.unrulymarble.server.account;
