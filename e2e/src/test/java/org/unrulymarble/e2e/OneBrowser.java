package org.unrulymarble.e2e;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** One server with the demo and one browser for all journeys of this process; both end with it, since each class is a test run of its own. */
public final class OneBrowser implements BeforeAllCallback, TestExecutionExceptionHandler {

    private static MarbleServer server;
    private static Browser browser;

    @Override
    public void beforeAll(ExtensionContext context) {
        if (server != null) return;
        server = new MarbleServer(true).start();
        browser = new Browser().at(server.address());
        Runtime.getRuntime().addShutdownHook(new Thread(OneBrowser::close));
    }

    /** What the screen showed when a journey failed, in target/failures. */
    @Override
    public void handleTestExecutionException(ExtensionContext context, Throwable failure) throws Throwable {
        Path folder = Files.createDirectories(Path.of("target", "failures"));
        browser.picture(folder.resolve(context.getDisplayName().replaceAll("\\W+", "-") + ".png"));
        throw failure;
    }

    static MarbleServer server() {
        return server;
    }

    static Browser browser() {
        return browser.at(server.address());
    }

    private static void close() {
        browser.close();
        server.close();
    }
}
