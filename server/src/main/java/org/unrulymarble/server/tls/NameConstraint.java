package org.unrulymarble.server.tls;

import java.io.ByteArrayOutputStream;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;

/**
 * For which names an authority may speak (RFC 5280, 4.2.1.10), in DER: this machine's own, and addresses of private networks. Whoever got hold of it could
 * not stand for anything else in the world.
 */
final class NameConstraint {

    private static final int SEQUENCE = 0x30;
    private static final int PERMITTED = 0xA0;
    private static final int DNS = 0x82;
    private static final int IP = 0x87;
    private static final String[] PRIVATE = {
        "0a000000ff000000",
        "ac100000fff00000",
        "c0a80000ffff0000",
        "a9fe0000ffff0000",
        "7f000000ff000000",
        "fc000000000000000000000000000000fe000000000000000000000000000000",
        "fe800000000000000000000000000000ffc00000000000000000000000000000",
        "00000000000000000000000000000001ffffffffffffffffffffffffffffffff"
    };

    private NameConstraint() {}

    static String hex(MachineNames names) {
        ByteArrayOutputStream subtrees = new ByteArrayOutputStream();
        for (String host : names.hosts())
            subtrees.writeBytes(tagged(SEQUENCE, tagged(DNS, host.getBytes(StandardCharsets.US_ASCII))));
        for (String network : PRIVATE)
            subtrees.writeBytes(tagged(SEQUENCE, tagged(IP, HexFormat.of().parseHex(network))));
        for (InetAddress own : names.addresses()) {
            byte[] address = own.getAddress();
            byte[] one = java.util.Arrays.copyOf(address, address.length * 2);
            java.util.Arrays.fill(one, address.length, one.length, (byte) 0xFF);
            subtrees.writeBytes(tagged(SEQUENCE, tagged(IP, one)));
        }
        return HexFormat.ofDelimiter(":").formatHex(tagged(SEQUENCE, tagged(PERMITTED, subtrees.toByteArray())));
    }

    private static byte[] tagged(int tag, byte[] content) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(tag);
        if (content.length < 0x80) out.write(content.length);
        else if (content.length < 0x100) {
            out.write(0x81);
            out.write(content.length);
        } else {
            out.write(0x82);
            out.write(content.length >> 8);
            out.write(content.length);
        }
        out.writeBytes(content);
        return out.toByteArray();
    }
}
