package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.source.Source;

/** Good files with bytes cut, flipped and repeated: always a reading or a sentence for the teacher, never anything else. */
class DamagedFilesTest {

    private static final int EACH = Integer.getInteger("damaged", 30);
    private static final Duration LONGEST = Duration.ofSeconds(10);

    /** For lines without end: too short for a pass whose time multiplies, long enough for a slow machine just begun. */
    private static final Duration UNTIL_A_HANG = Duration.ofSeconds(60);

    /** A damaged file and how it came about. */
    record Damaged(String name, int seed, byte[] bytes) {
        @Override
        public String toString() {
            return name + " " + seed;
        }
    }

    static Stream<Damaged> files() throws IOException {
        byte[] docx = Docx.body(
                        Docx.paragraph("1. Who dances?") + Docx.paragraph("A. workers *") + Docx.paragraph("B. drones"))
                .bytes();
        byte[] txt = "1. Who dances?\nA. workers *\nB. drones\n".getBytes(StandardCharsets.UTF_16);
        byte[] rtf =
                "{\\rtf1\\ansi{\\colortbl;\\red200\\green0\\blue0;}\\pard 1. Who dances?\\par{\\b A. workers}\\par B. drones\\par}"
                        .getBytes(StandardCharsets.ISO_8859_1);
        byte[] csv = "No.,Question,A,B,Answer\n1,\"Who \"\"dances\"\"?\",workers,drones,A\n"
                .getBytes(StandardCharsets.UTF_8);
        return Stream.of(
                        new Damaged("t.docx", 0, docx),
                        new Damaged("t.txt", 0, txt),
                        new Damaged("t.rtf", 0, rtf),
                        new Damaged("t.csv", 0, csv),
                        new Damaged("t.pdf", 0, pdf()),
                        new Damaged("bevel.doc", 0, whole("bevel.doc")),
                        new Damaged("bevel.odt", 0, whole("bevel.odt")),
                        new Damaged("bevel.pdf", 0, whole("bevel.pdf")))
                .flatMap(good -> IntStream.range(0, EACH)
                        .mapToObj(seed -> new Damaged(good.name(), seed, damage(good.bytes(), seed))));
    }

    private static byte[] whole(String name) throws IOException {
        return Files.readAllBytes(Path.of("src/test/resources/formats", name));
    }

    private static byte[] pdf() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                out.beginText();
                out.setFont(new PDType1Font(FontName.HELVETICA), 12);
                out.newLineAtOffset(60, 600);
                out.showText("1. Who dances?");
                out.endText();
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    private static byte[] damage(byte[] good, int seed) {
        Random random = new Random(seed);
        byte[] bytes = good.clone();
        int hurts = 1 + random.nextInt(6);
        for (int i = 0; i < hurts; i++) {
            int at = random.nextInt(bytes.length);
            switch (random.nextInt(3)) {
                case 0 -> bytes = Arrays.copyOf(bytes, Math.max(1, at));
                case 1 -> bytes[at] ^= (byte) (1 << random.nextInt(8));
                default -> {
                    int length = Math.min(bytes.length - at, 1 + random.nextInt(40));
                    byte[] longer = Arrays.copyOf(bytes, bytes.length + length);
                    System.arraycopy(bytes, at, longer, at + length, bytes.length - at);
                    bytes = longer;
                }
            }
        }
        return bytes;
    }

    /** A line of one sign repeated is where patterns look again at every place. */
    @ParameterizedTest
    @ValueSource(strings = {".", ". ", ". a ", "_ ", " ", "(", "1. ", "a) ", "_a_ ", "1. ____ ", "x    ", "1. ANS: A "})
    void anEndlessLineIsReadInTime(String repeated) {
        String text =
                "1. Who dances?\n" + repeated.repeat(100_000 / repeated.length()) + " / 3 x]\nA. workers\nB. drones\n";
        assertTimeoutPreemptively(UNTIL_A_HANG, () -> {
            Source source = new Intake().read("t.txt", text.getBytes(StandardCharsets.UTF_8));
            assertThat(new Reader().read(source, Pins.NONE).ledger())
                    .hasSize(source.lines().size());
        });
    }

    /** Lines that repeat again and again are where passes look far ahead, or call themselves for each beginning. */
    @ParameterizedTest
    @ValueSource(strings = {"Exercise 1\n1. Who?\n2. What?\n", "___ four\n", "A. wax  B. comb\n", "ANS: A\tPTS: 1\n"})
    void endlessLinesAreReadInTime(String repeated) {
        String text = repeated.repeat(6_000 / (int) repeated.lines().count());
        assertTimeoutPreemptively(UNTIL_A_HANG, () -> {
            Source source = new Intake().read("t.txt", text.getBytes(StandardCharsets.UTF_8));
            assertThat(new Reader().read(source, Pins.NONE).ledger())
                    .hasSize(source.lines().size());
        });
    }

    @ParameterizedTest
    @MethodSource("files")
    void aDamagedFileIsReadOrRefusedWithASentence(Damaged file) {
        assertTimeoutPreemptively(LONGEST, () -> {
            try {
                Source source = new Intake().read(file.name(), file.bytes());
                Reading reading = new Reader().read(source, Pins.NONE);
                assertThat(reading.ledger()).hasSameSizeAs(source.lines());
            } catch (IntakeException refused) {
                assertThat(refused.getMessage()).startsWith(file.name()).contains(".");
            }
        });
    }

    @ParameterizedTest
    @MethodSource("nestings")
    void endlessNestingIsNoTrap(byte[] nested) {
        assertTimeoutPreemptively(LONGEST, () -> {
            try {
                new Intake().read(nested[0] == '{' ? "t.rtf" : "t.docx", nested);
            } catch (IntakeException refused) {
                assertThat(refused.getMessage()).isNotBlank();
            }
        });
    }

    static List<byte[]> nestings() {
        byte[] groups = ("{\\rtf1" + "{".repeat(200_000)).getBytes(StandardCharsets.ISO_8859_1);
        byte[] tables = Docx.body("<w:tbl><w:tr><w:tc>".repeat(900) + "<w:p/>" + "</w:tc></w:tr></w:tbl>".repeat(900))
                .bytes();
        return List.of(groups, tables);
    }
}
