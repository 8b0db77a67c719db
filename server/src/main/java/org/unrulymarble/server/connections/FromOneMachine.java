package org.unrulymarble.server.connections;

import java.net.InetSocketAddress;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.eclipse.jetty.io.Connection;
import org.eclipse.jetty.io.SocketChannelEndPoint;
import org.unrulymarble.server.platform.ClientAddress;

/** How many connections one machine may hold; what comes on top is closed. */
final class FromOneMachine implements Connection.Listener {

    private final int most;
    private final ClientAddress address;
    private final Map<String, Integer> open = new ConcurrentHashMap<>();
    /** By connection, since one that is closed no longer says from where it came. */
    private final Map<Connection, String> machines = new ConcurrentHashMap<>();

    FromOneMachine(int most, ClientAddress address) {
        this.most = most;
        this.address = address;
    }

    @Override
    public void onOpened(Connection connection) {
        // What is inside of an encrypted one was counted with it.
        if (!(connection.getEndPoint() instanceof SocketChannelEndPoint end)
                || !(end.getRemoteSocketAddress() instanceof InetSocketAddress remote)) return;
        String from = remote.getAddress().getHostAddress();
        machines.put(connection, from);
        int now = open.merge(from, 1, Integer::sum);
        if (now > most && !address.isProxy(from)) end.close();
    }

    @Override
    public void onClosed(Connection connection) {
        String from = machines.remove(connection);
        if (from != null) open.computeIfPresent(from, (f, now) -> now == 1 ? null : now - 1);
    }
}
