package org.unrulymarble.server.demo;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.account.AccountService;
import org.unrulymarble.server.tls.Https;

/** Tells whoever started the server where it is and how to come in. */
@Component
class Greeting implements ApplicationRunner {

    private final AccountService accounts;
    private final ObjectProvider<DemoWorld> demo;
    private final Https https;

    Greeting(AccountService accounts, ObjectProvider<DemoWorld> demo, Https https) {
        this.https = https;
        this.accounts = accounts;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (accounts.nobodyYet()) demo.ifAvailable(DemoWorld::fill);
        else demo.ifAvailable(DemoWorld::keepFresh);
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        int port = event.getApplicationContext() instanceof ServletWebServerApplicationContext web
                ? web.getWebServer().getPort()
                : 0;
        StringBuilder words = new StringBuilder("\nUnruly Marble is ready: http://localhost:" + port + "\n");
        if (https.isOn()) {
            words.append("On other devices in the network: ")
                    .append(String.join(" or ", https.addresses()))
                    .append('\n');
            if (!https.isSchools())
                words.append("The first time open http://")
                        .append(https.addresses().stream()
                                .findFirst()
                                .map(a -> a.replaceAll("^https://|:\\d+$", ""))
                                .orElse("localhost"))
                        .append(':')
                        .append(port)
                        .append(" there: the page says how a device comes to trust this machine.\n");
        }
        if (demo.getIfAvailable() != null)
            words.append(
                    "Demo sign-ins (name / password): okafor / okafor-demo, brambell / brambell-demo, helper / helper-demo, quay / quay-demo (administrator)\n"
                            + "Devices to play with (hit pad, gate, clicker, scoreboard): ./marble devices\n");
        else if (accounts.nobodyYet())
            words.append(
                            "Nobody has an account yet. Open the address and make the first one, the administrator's, with this one-time code: ")
                    .append(accounts.setupCode())
                    .append('\n');
        System.out.println(words);
    }
}
