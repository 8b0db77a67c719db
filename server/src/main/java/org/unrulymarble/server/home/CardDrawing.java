package org.unrulymarble.server.home;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Locale;
import java.util.Map;
import org.unrulymarble.core.home.HomePractice.HomeTask;

/** Line drawings of a card in black and white. */
final class CardDrawing {

    private static final double BOX = 100;
    private static final double EDGE = 16;
    private static final double PERSON_M = 0.25;

    private CardDrawing() {}

    /** The floor of a task from above, to scale: its length runs upwards, towards the wall or the target; sides in shoe lengths or metres. */
    static String floor(HomeTask task) {
        double scale = (BOX - 2 * EDGE) / Math.max(1, Math.max(task.lengthM(), task.widthM()));
        double w = task.widthM() * scale;
        double l = task.lengthM() * scale;
        double left = (BOX - w) / 2;
        double top = EDGE;
        double middle = BOX / 2;
        boolean aims = task.standM() != null && task.standM() < task.lengthM();
        double person = aims ? top + task.standM() * scale : task.wall() ? top + l - 2 * PERSON_M * scale : top + l / 2;
        StringBuilder svg = new StringBuilder();
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"74pt\" height=\"")
                .append(n(0.74 * (l + 2 * EDGE)))
                .append("pt\" viewBox=\"0 0 100 ")
                .append(n(l + 2 * EDGE))
                .append("\" fill=\"none\" stroke=\"#000\" stroke-width=\"1\" role=\"img\" aria-label=\"")
                .append(said(task))
                .append("\">");
        svg.append(rect(left, top, w, l, task.wall() ? "" : " stroke-dasharray=\"4 2\""));
        if (task.wall()) svg.append(line(left, top, left + w, top, " stroke-width=\"5\""));
        if (aims && !task.wall())
            svg.append("<rect x=\"" + n(middle - 4) + "\" y=\"" + n(top - 4)
                    + "\" width=\"8\" height=\"8\" fill=\"#000\"/>");
        if (aims || task.wall()) svg.append(line(middle, person - 5, middle, top + 6, " stroke-dasharray=\"2 2\""));
        svg.append("<circle cx=\"" + n(middle) + "\" cy=\"" + n(person)
                + "\" r=\"4.5\" fill=\"#fff\" stroke-width=\"2\"/>");
        svg.append(text(middle, top + l + 11, "middle", side(task.widthM(), task.widthShoes())));
        svg.append("<g transform=\"translate(" + n(left + w + 9) + " " + n(top + l / 2) + ") rotate(-90)\">"
                + text(0, 0, "middle", side(task.lengthM(), task.lengthShoes())) + "</g>");
        return svg.append("</svg>").toString();
    }

    private static String said(HomeTask task) {
        return "Floor from above: " + side(task.lengthM(), task.lengthShoes()) + " by "
                + side(task.widthM(), task.widthShoes());
    }

    private static String side(double m, Integer shoes) {
        return shoes == null ? CardWords.of("m", Map.of("m", m)) : CardWords.of("shoe", Map.of("n", shoes));
    }

    private static String rect(double x, double y, double w, double h, String more) {
        return "<rect x=\"" + n(x) + "\" y=\"" + n(y) + "\" width=\"" + n(w) + "\" height=\"" + n(h) + "\"" + more
                + "/>";
    }

    private static String line(double x1, double y1, double x2, double y2, String more) {
        return "<line x1=\"" + n(x1) + "\" y1=\"" + n(y1) + "\" x2=\"" + n(x2) + "\" y2=\"" + n(y2) + "\"" + more
                + "/>";
    }

    private static String text(double x, double y, String anchor, String words) {
        return "<text x=\"" + n(x) + "\" y=\"" + n(y) + "\" text-anchor=\"" + anchor
                + "\" font-size=\"8.5\" stroke=\"none\" fill=\"#000\">" + words + "</text>";
    }

    private static String n(double v) {
        return String.format(Locale.ROOT, "%.1f", v);
    }

    /** A code to photograph. */
    static String qr(String words) {
        try {
            BitMatrix dots = new QRCodeWriter()
                    .encode(
                            words,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.MARGIN, 0, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < dots.getHeight(); y++)
                for (int x = 0; x < dots.getWidth(); x++)
                    if (dots.get(x, y)) path.append("M" + x + " " + y + "h1v1h-1z");
            return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"46pt\" height=\"46pt\" viewBox=\"0 0 "
                    + dots.getWidth() + " "
                    + dots.getHeight() + "\" role=\"img\" aria-label=\"Card number to photograph\"><path d=\"" + path
                    + "\" fill=\"#000\"/></svg>";
        } catch (WriterException e) {
            throw new IllegalStateException(e);
        }
    }
}
