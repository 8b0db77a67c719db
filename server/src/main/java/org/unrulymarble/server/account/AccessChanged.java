package org.unrulymarble.server.account;

import java.util.UUID;

/** What an account may do has changed: whatever was remembered or is open for it is done with. */
public record AccessChanged(UUID accountId) {}
