package org.tidyleaf.web.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Consumer;
import javax.imageio.ImageIO;

/** Pictures drawn for the demo tests. */
final class DemoPictures {
    private static final Color INK = new Color(0x20302a);
    private static final Color LEAF = new Color(0x2c6a4a);
    private static final Color HONEY = new Color(0xe0a030);

    private DemoPictures() {}

    private static byte[] draw(int width, int height, Consumer<Graphics2D> drawing) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, width, height);
        g.setColor(INK);
        g.setStroke(new BasicStroke(2));
        drawing.accept(g);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }

    /** A hive of four boxes on a stand, its parts lettered P to S. */
    static byte[] hive() {
        return draw(420, 300, g -> {
            int[] tops = {40, 80, 130, 210};
            int[] heights = {28, 44, 74, 40};
            String[] letters = {"P", "Q", "R", "S"};
            g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 20));
            for (int i = 0; i < tops.length; i++) {
                g.setColor(i == 2 ? HONEY : new Color(0xf2e3c0));
                g.fillRect(90, tops[i], 180, heights[i]);
                g.setColor(INK);
                g.drawRect(90, tops[i], 180, heights[i]);
                g.drawLine(270, tops[i] + heights[i] / 2, 330, tops[i] + heights[i] / 2);
                g.drawString(letters[i], 340, tops[i] + heights[i] / 2 + 7);
            }
            g.drawLine(110, 250, 100, 285);
            g.drawLine(250, 250, 260, 285);
        });
    }

    /** A tape measure from 0 to 5 cm with an arrow at the given tenths of a millimetre. */
    static byte[] tape(int millimetres) {
        return draw(460, 130, g -> {
            g.setColor(new Color(0xfff3b0));
            g.fillRect(20, 50, 420, 60);
            g.setColor(INK);
            g.drawRect(20, 50, 420, 60);
            g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 16));
            for (int mm = 0; mm <= 50; mm++) {
                int x = 30 + mm * 8;
                g.drawLine(x, 50, x, mm % 10 == 0 ? 82 : mm % 5 == 0 ? 72 : 62);
                if (mm % 10 == 0) {
                    g.drawString(String.valueOf(mm / 10), x - 5, 102);
                }
            }
            int x = 30 + millimetres * 8;
            g.setColor(LEAF);
            g.setStroke(new BasicStroke(3));
            g.drawLine(x, 8, x, 46);
            g.drawLine(x, 46, x - 6, 36);
            g.drawLine(x, 46, x + 6, 36);
        });
    }

    /** A frame of comb with a patch of sealed brood. */
    static byte[] frame() {
        return draw(420, 230, g -> {
            g.drawRect(20, 20, 380, 190);
            g.drawRect(34, 40, 352, 156);
            for (int row = 0; row < 9; row++) {
                for (int column = 0; column < 20; column++) {
                    double x = 40 + column * 17 + (row % 2) * 8.5;
                    double y = 46 + row * 16;
                    boolean brood = Math.hypot(x - 200, (y - 115) * 1.6) < 95;
                    g.setColor(brood ? HONEY : Color.WHITE);
                    g.fill(new Ellipse2D.Double(x, y, 13, 13));
                    g.setColor(INK);
                    g.draw(new Ellipse2D.Double(x, y, 13, 13));
                }
            }
        });
    }
}
