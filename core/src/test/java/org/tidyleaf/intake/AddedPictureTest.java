package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Figure;

class AddedPictureTest {

    private static BufferedImage halves() {
        BufferedImage image = new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB);
        for (int x = 20; x < 40; x++) {
            for (int y = 0; y < 20; y++) {
                image.setRGB(x, y, Color.RED.getRGB());
            }
        }
        return image;
    }

    private static byte[] as(String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(halves(), format, out);
        return out.toByteArray();
    }

    @Test
    void picturesAreKnownByTheirBytesNotByTheirNames() throws IOException, IntakeException {
        assertThat(AddedPicture.take("p1", "comb.jpg", as("png"), "a comb").mediaType())
                .isEqualTo("image/png");
        assertThat(AddedPicture.take("p1", "comb", as("jpg"), "").mediaType()).isEqualTo("image/jpeg");
        assertThat(AddedPicture.take("p1", "comb.bmp", as("bmp"), "").mediaType())
                .isEqualTo("image/png");
        byte[] drawing = "<svg xmlns=\"http://www.w3.org/2000/svg\"/>".getBytes(StandardCharsets.UTF_8);
        assertThat(AddedPicture.take("p1", "comb.svg", drawing, "").mediaType()).isEqualTo("image/svg+xml");
        byte[] script = "<html><script>".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> AddedPicture.take("p1", "comb.png", script, ""))
                .isInstanceOf(IntakeException.UnknownFormat.class)
                .hasMessageContaining("comb.png");
    }

    @Test
    void whatIsCutOffIsGoneAndTheRestIsAsItWas() throws IOException, IntakeException {
        Figure whole = new Figure("p1", "image/png", "two halves", as("png"));
        Figure right = AddedPicture.crop("p2", whole, 50, 0, 0, 50);
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(right.bytes()));
        assertThat(image.getWidth()).isEqualTo(20);
        assertThat(image.getHeight()).isEqualTo(10);
        assertThat(new Color(image.getRGB(0, 0))).isEqualTo(Color.RED);
        assertThat(right.alternative()).isEqualTo("two halves");
        assertThatThrownBy(() -> AddedPicture.crop("p2", whole, 60, 0, 40, 0))
                .hasMessageContaining("Nothing of the picture would be left");
        assertThatThrownBy(() -> AddedPicture.crop("p2", whole, -5, 0, 0, 0)).isInstanceOf(IntakeException.class);
    }
}
