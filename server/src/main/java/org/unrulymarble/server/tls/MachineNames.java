package org.unrulymarble.server.tls;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;

/**
 * What this machine is called in the school's network.
 *
 * @param hosts names, the one to tell others first
 * @param addresses its own, without those that hold only on this machine
 */
record MachineNames(List<String> hosts, List<InetAddress> addresses) {

    private static final String HOST = "[a-z0-9]([a-z0-9-]*[a-z0-9])?(\\.[a-z0-9]([a-z0-9-]*[a-z0-9])?)*";

    static MachineNames now() {
        List<String> hosts = new ArrayList<>();
        try {
            String name = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            if (name.matches(HOST) && !name.equals("localhost")) {
                hosts.add(name);
                // As other devices find it without a name server.
                if (!name.contains(".")) hosts.add(name + ".local");
            }
        } catch (UnknownHostException e) {
            // It has no name; its addresses will do.
        }
        hosts.add("localhost");
        TreeSet<String> seen = new TreeSet<>();
        List<InetAddress> addresses = new ArrayList<>();
        try {
            NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(a -> !a.isLoopbackAddress() && !a.isLinkLocalAddress() && !a.isMulticastAddress())
                    .filter(a -> seen.add(a.getHostAddress()))
                    .forEach(addresses::add);
        } catch (SocketException e) {
            // No network, no addresses.
        }
        return new MachineNames(hosts, addresses);
    }

    /** What a device in the network types, best first: names that need no name server may not work everywhere, addresses do. */
    List<String> toType() {
        List<String> all = new ArrayList<>();
        for (InetAddress a : addresses) if (a.getAddress().length == 4) all.add(a.getHostAddress());
        hosts.stream().filter(h -> !h.equals("localhost")).forEach(all::add);
        return all;
    }

    /** For a certificate, in keytool's words. */
    String san() {
        List<String> all = new ArrayList<>();
        hosts.forEach(h -> all.add("dns:" + h));
        addresses.forEach(a -> all.add("ip:" + plain(a)));
        all.add("ip:127.0.0.1");
        all.add("ip:::1");
        return String.join(",", all);
    }

    private static String plain(InetAddress address) {
        String told = address.getHostAddress();
        int zone = told.indexOf('%');
        return zone < 0 ? told : told.substring(0, zone);
    }
}
