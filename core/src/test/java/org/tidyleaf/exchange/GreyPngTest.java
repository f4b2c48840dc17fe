package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Checked against Java's own PNG reader: the dots are the same before and after. */
class GreyPngTest {

    private static byte[] png(int type) throws IOException {
        BufferedImage image = new BufferedImage(17, 9, type);
        Random random = new Random(3);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.getRaster().setSample(x, y, 0, random.nextInt(256));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void greysBecomeAPaletteWithTheSameDots() throws IOException {
        byte[] grey = png(BufferedImage.TYPE_BYTE_GRAY);
        byte[] made = GreyPng.withPalette(grey);
        BufferedImage before = ImageIO.read(new ByteArrayInputStream(grey));
        BufferedImage after = ImageIO.read(new ByteArrayInputStream(made));
        assertThat(after.getColorModel().getNumComponents()).isEqualTo(3);
        assertThat(after.getRaster().getSamples(0, 0, 17, 9, 0, (int[]) null))
                .isEqualTo(before.getRaster().getSamples(0, 0, 17, 9, 0, (int[]) null));
        assertThat(after.getRGB(0, 0) & 0xFF).isEqualTo(before.getRaster().getSample(0, 0, 0));
    }

    @Test
    void othersStayAsTheyAre() throws IOException {
        byte[] colored = png(BufferedImage.TYPE_INT_RGB);
        assertThat(GreyPng.withPalette(colored)).isSameAs(colored);
        byte[] damaged = java.util.Arrays.copyOf(png(BufferedImage.TYPE_BYTE_GRAY), 40);
        assertThat(GreyPng.withPalette(damaged)).isSameAs(damaged);
        assertThat(GreyPng.withPalette(new byte[3])).hasSize(3);
    }
}
