package org.unrulymarble.e2e;

import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;

/** One server with the demo and one browser for all journeys; both end with the test run. */
public final class OneBrowser implements BeforeAllCallback, AutoCloseable {

    private static MarbleServer server;
    private static Browser browser;

    @Override
    public void beforeAll(ExtensionContext context) {
        if (server != null) return;
        server = new MarbleServer(true).start();
        browser = new Browser().at(server.address());
        context.getRoot().getStore(Namespace.GLOBAL).put("one browser", this);
    }

    static MarbleServer server() {
        return server;
    }

    static Browser browser() {
        return browser.at(server.address());
    }

    @Override
    public void close() {
        browser.close();
        server.close();
    }
}
