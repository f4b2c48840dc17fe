package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** Pages drawn sign by sign, as programs print them, and the lines that a reader sees on them. */
class PdfFormatTest {

    private static List<String> texts(Source source) {
        return source.lines().stream().map(Line::text).toList();
    }

    private static final PDFont PLAIN = new PDType1Font(FontName.HELVETICA);
    private static final PDFont BOLD = new PDType1Font(FontName.HELVETICA_BOLD);

    /** Writes text at places counted from the page's top left, in points. */
    private interface Pen {
        void write(PDPageContentStream out) throws IOException;
    }

    private static void at(PDPageContentStream out, PDFont font, float size, float x, float y, String text)
            throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x, PDRectangle.A4.getHeight() - y);
        out.showText(text);
        out.endText();
    }

    private static Source pdf(Pen... pages) throws IOException, IntakeException {
        try (PDDocument document = new PDDocument()) {
            for (Pen pen : pages) {
                PDPage page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                    pen.write(out);
                }
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return new Intake().read("test.pdf", bytes.toByteArray());
        }
    }

    @Test
    void columnsOfAPageAreReadOneAfterTheOther() throws Exception {
        Source source = pdf(out -> {
            at(out, BOLD, 16, 200, 60, "Bees and their work");
            for (int i = 0; i < 8; i++) {
                at(out, PLAIN, 11, 60, 100 + i * 15, "left column line " + i);
                at(out, PLAIN, 11, 330, 100 + i * 15, "right column line " + i);
            }
        });
        assertThat(texts(source)).hasSize(17).startsWith("Bees and their work", "left column line 0");
        assertThat(texts(source).get(9)).isEqualTo("right column line 0");
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 0, 5)).isTrue();
    }

    @Test
    void optionsLetteredAcrossThePageAreNoColumns() throws Exception {
        Source source = pdf(out -> {
            for (int i = 0; i < 4; i++) {
                at(out, PLAIN, 11, 60, 100 + i * 50, (i + 1) + ". What is it made of?");
                at(out, PLAIN, 11, 75, 115 + i * 50, "A wax");
                at(out, PLAIN, 11, 320, 115 + i * 50, "B honey comb");
                at(out, PLAIN, 11, 75, 130 + i * 50, "C resin");
                at(out, PLAIN, 11, 320, 130 + i * 50, "D pollen grains");
            }
        });
        assertThat(texts(source).subList(0, 3))
                .containsExactly("1. What is it made of?", "A wax\tB honey comb", "C resin\tD pollen grains");
    }

    /** Rows as a word processor breaks them at a width: those without room for the next word are one line to a reader. */
    @Test
    void lettersWithoutASignThatGoOnAcrossThePageAreNoColumns() throws Exception {
        Source source = pdf(out -> {
            for (int row = 1; row <= 7; row++) {
                float y = 80 + row * 16;
                at(out, PLAIN, 11, 60, y, row + " A look");
                at(out, PLAIN, 11, 120, y, "B search");
                at(out, PLAIN, 11, 185, y, "C seek");
                at(out, PLAIN, 11, 330, y, "D find it");
            }
        });
        assertThat(texts(source)).hasSize(7).allMatch(text -> text.matches("\\d A look.*B search.*C seek.*D find it"));
    }

    @Test
    void aSpaceThatKerningMadeNarrowIsStillASpace() throws Exception {
        Source source = pdf(out -> {
            out.beginText();
            out.setFont(PLAIN, 12);
            out.newLineAtOffset(60, 700);
            out.showTextWithPositioning(new Object[] {"Reason: ", 140f, "A", " ", 140f, "steel rule bends."});
            out.endText();
        });
        assertThat(texts(source)).containsExactly("Reason: A steel rule bends.");
    }

    @Test
    void gapsAreMeasuredByTheSizeThatIsSeen() throws Exception {
        // As browsers print: three quarters of what the font's size says.
        Source source = pdf(out -> {
            out.transform(Matrix.getScaleInstance(0.75f, 0.75f));
            at(out, PLAIN, 16, 80, 0, "a. wax");
            at(out, PLAIN, 16, 80 + PLAIN.getStringWidth("a. wax") * 16 / 1000 + 12, 0, "b. honey");
        });
        assertThat(texts(source)).containsExactly("a. wax   b. honey");
    }

    @Test
    void answersThatGoOnInTheNextRowAreOneLine() throws Exception {
        Source source = pdf(out -> {
            at(
                    out,
                    PLAIN,
                    11,
                    60,
                    100,
                    "Key: 1. c   2. a   3. a, b   4. hazel / willow   5. ten thousand   6. wax and pollen   7. 3,");
            at(out, PLAIN, 11, 60, 114, "4, 2, 1   8. To keep the brood warm.");
        });
        assertThat(texts(source)).hasSize(1);
        assertThat(texts(source).get(0)).contains("7. 3, 4, 2, 1");
    }

    @Test
    void rowsThatHadNoRoomGoOnAsOneLine() throws Exception {
        Source source = pdf(out -> {
            String[] rows = {
                "1. A well-known keeper measures the usual brood tempera-",
                "ture of a strong colony in May. The value is about the tem-",
                "perature of a healthy child. How does a well-",
                "known keeper measure it, and what is the reading of his",
                "instrument as a rule?",
                "Use the table and the drawing above to answer questions 7-",
                "9.",
                "A. with a hand held against the lid of the hive in summer",
                "B. with a thermometer",
                "put between the frames",
                "C. with whatever is at hand when the sun shines on it -",
                "or not at all"
            };
            for (int i = 0; i < rows.length; i++) {
                at(out, PLAIN, 18, 60, 100 + i * 22, rows[i]);
            }
        });
        assertThat(texts(source))
                .containsExactly(
                        "1. A well-known keeper measures the usual brood temperature of a strong colony in May. The value is"
                                + " about the temperature of a healthy child. How does a well-known keeper measure it, and what"
                                + " is the reading of his instrument as a rule?",
                        "Use the table and the drawing above to answer questions 7-9.",
                        "A. with a hand held against the lid of the hive in summer",
                        "B. with a thermometer",
                        "put between the frames",
                        "C. with whatever is at hand when the sun shines on it -",
                        "or not at all");
    }

    @Test
    void aTableStandsInItsColumnAndAShortLastColumnIsOne() throws Exception {
        Source source = pdf(
                out -> {
                    for (int i = 0; i < 30; i++) {
                        at(out, PLAIN, 11, 60, 100 + i * 22, "left line number " + i);
                    }
                    table(out, 320, 140);
                    for (int i = 6; i < 30; i++) {
                        at(out, PLAIN, 11, 320, 100 + i * 22, "right line number " + i);
                    }
                },
                out -> {
                    for (int i = 0; i < 30; i++) {
                        at(out, PLAIN, 11, 60, 100 + i * 22, "next line number " + i);
                    }
                    at(out, PLAIN, 11, 320, 104, "the last of all");
                });
        List<String> texts = texts(source);
        assertThat(texts.subList(29, 35))
                .containsExactly("left line number 29", "mm", "cm", "10", "1", "right line number 6");
        assertThat(texts.subList(texts.size() - 2, texts.size()))
                .containsExactly("next line number 29", "the last of all");
    }

    private static void table(PDPageContentStream out, float left, float top) throws IOException {
        String[][] cells = {{"mm", "cm"}, {"10", "1"}};
        for (int row = 0; row < 2; row++) {
            for (int column = 0; column < 2; column++) {
                out.addRect(left + column * 100, PDRectangle.A4.getHeight() - top - (row + 1) * 20, 100, 20);
                out.stroke();
                at(out, PLAIN, 11, left + 4 + column * 100, top + 15 + row * 20, cells[row][column]);
            }
        }
    }

    /** A fraction's bar ends freely; the edges of a highlighted word's box do not. */
    @Test
    void aHighlightedSignAboveAnotherIsNoFraction() throws Exception {
        Source source = pdf(out -> {
            out.setNonStrokingColor(Color.YELLOW);
            out.addRect(59, PDRectangle.A4.getHeight() - 103, 9, 14);
            out.fill();
            out.setNonStrokingColor(Color.BLACK);
            at(out, PLAIN, 12, 60, 100, "T");
            at(out, PLAIN, 12, 60, 114, "F");
            at(out, PLAIN, 12, 90, 100, "5. Queens sting.");
            at(out, PLAIN, 12, 90, 114, "6. Drones sting.");
        });
        assertThat(texts(source)).containsExactly("T\t5. Queens sting.", "F\t6. Drones sting.");
        assertThat(source.line(1).isMostly(Emphasis.HIGHLIGHT, 0, 1)).isTrue();
        assertThat(source.line(2).isMostly(Emphasis.HIGHLIGHT, 0, 1)).isFalse();
    }

    @Test
    void whatABrowserPrintsInTheMarginsIsNoText() throws Exception {
        Source source = pdf(out -> {
            at(out, PLAIN, 8, 24, 22, "3/14/26, 10:15 AM");
            at(out, BOLD, 18, 60, 80, "Swarms");
            at(out, PLAIN, 11, 60, 120, "1. When do bees swarm?");
            at(out, PLAIN, 8, 24, 830, "https://wrenfield.example/swarms 1/1");
        });
        assertThat(source.lines())
                .extracting(line -> line.layout().place())
                .containsExactly(Place.HEADER, Place.BODY, Place.BODY, Place.FOOTER);
    }

    @Test
    void headingsHaveLevelsByTheirSizeAndPicturesFollowTheirLetter() throws Exception {
        BufferedImage square = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
        PDDocument other = new PDDocument();
        PDImageXObject picture = LosslessFactory.createFromImage(other, square);
        Source source = pdf(out -> {
            at(out, BOLD, 20, 60, 60, "Tools");
            at(out, BOLD, 14, 60, 90, "Part A");
            for (int i = 0; i < 6; i++) {
                at(out, PLAIN, 11, 60, 120 + i * 15, "An ordinary line of the text, number " + i);
            }
            at(out, PLAIN, 11, 60, 300, "A.");
            out.drawImage(picture, 90, PDRectangle.A4.getHeight() - 300);
        });
        other.close();
        assertThat(source.line(1).layout().style()).isEqualTo("heading 1");
        assertThat(source.line(2).layout().style()).isEqualTo("heading 2");
        assertThat(source.line(9).text()).isEqualTo("A." + Line.FIGURE);
    }

    @Test
    void coloursScriptsAndWideGapsOfAPageAreSeen() throws Exception {
        Source source = pdf(out -> {
            at(out, PLAIN, 12, 60, 100, "A. 25 cm");
            at(out, PLAIN, 7, 108, 95, "2");
            at(out, PLAIN, 12, 240, 100, "B. 30 cm");
            out.setNonStrokingColor(Color.RED);
            at(out, PLAIN, 12, 60, 130, "C. right");
        });
        assertThat(texts(source)).containsExactly("A. 25 cm2\tB. 30 cm", "C. right");
        assertThat(source.line(1).isMostly(Emphasis.SUPERSCRIPT, 8, 9)).isTrue();
        assertThat(source.line(2).isMostly(Emphasis.COLOR, 0, 8)).isTrue();
    }

    @Test
    void runningHeadsAndPageNumbersAreKnownByTheirRepetition() throws Exception {
        Pen page = out -> {
            at(out, PLAIN, 9, 60, 30, "Keeping Bees, evening group");
            at(out, PLAIN, 11, 60, 100, "1. Who dances?");
            at(out, PLAIN, 11, 60, 115, "A. workers");
            at(out, PLAIN, 11, 60, 400, "B. drones");
        };
        Source source = pdf(page, out -> {
            page.write(out);
            at(out, PLAIN, 9, 290, 820, "2");
        });
        assertThat(source.line(1).layout().place()).isEqualTo(Place.HEADER);
        assertThat(source.line(2).layout().place()).isEqualTo(Place.BODY);
    }

    @Test
    void aPdfWithoutTextIsCalledAScan() {
        assertThatThrownBy(() -> pdf(out -> out.fillEvenOdd())).hasMessageContaining("is a scan");
        assertThatThrownBy(() -> new Intake().read("t.pdf", "%PDF-1.4 nothing".getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("damaged");
    }

    /** A level rule of one point, its left end and height counted from the page's top left. */
    private static void rule(PDPageContentStream out, float x, float y, float width) throws IOException {
        out.addRect(x, PDRectangle.A4.getHeight() - y - 0.5f, width, 0.5f);
        out.fill();
    }

    /** Over and under a bar: common practice of typesetting; the LaTeX names are those of the AMS guide (from memory). */
    @Test
    void barsAndRootsMakeFormulas() throws Exception {
        PDFont signs = new PDType1Font(FontName.SYMBOL);
        PDFont italic = new PDType1Font(FontName.TIMES_ITALIC);
        Source source = pdf(out -> {
            at(out, PLAIN, 12, 60, 100, "1. A lens obeys");
            at(out, italic, 12, 150, 100, "N");
            at(out, PLAIN, 12, 161, 100, "=");
            at(out, italic, 12, 173, 92, "f");
            rule(out, 171, 96.5f, 9);
            at(out, italic, 12, 171.5f, 107, "D");
            at(out, PLAIN, 12, 182, 100, ". Find it.");
            at(out, PLAIN, 12, 60, 140, "A)");
            at(out, signs, 12, 76, 140, "\u221a");
            rule(out, 82.6f, 129.5f, 14);
            at(out, italic, 12, 83, 140, "a");
            at(out, PLAIN, 8, 89.5f, 135, "2");
            at(out, PLAIN, 12, 60, 170, "B)");
            at(out, PLAIN, 9, 78.5f, 165, "1");
            rule(out, 76, 166.5f, 10);
            at(out, PLAIN, 9, 76, 175, "25");
            at(out, PLAIN, 12, 90, 170, "s");
        });
        assertThat(texts(source))
                .containsExactly(
                        "1. A lens obeys \\(N=\\frac{f}{D}\\). Find it.",
                        "A) \\(\\sqrt{a^{2}}\\)",
                        "B) \\(\\frac{1}{25}\\) s");
        assertThat(source.notes()).isEmpty();
    }

    /** The frame of a table and its rules; the inner upright one begins below the first row. */
    private static void grid(PDPageContentStream out) throws IOException {
        for (int y : List.of(100, 130, 160)) {
            rule(out, 60, y, 300);
        }
        for (int x : List.of(60, 210, 360)) {
            float top = x == 210 ? 130 : 100;
            out.addRect(x, PDRectangle.A4.getHeight() - 160, 0.8f, 160 - top);
            out.fill();
        }
    }

    @Test
    void aCellOverTwoColumnsIsOneCell() throws Exception {
        Source source = pdf(out -> {
            grid(out);
            at(out, PLAIN, 11, 66, 118, "1. Where does a young queen meet the drones?");
            at(out, PLAIN, 11, 66, 148, "A. in the hive");
            at(out, PLAIN, 11, 216, 148, "B. in the air");
        });
        assertThat(texts(source))
                .containsExactly("1. Where does a young queen meet the drones?", "A. in the hive", "B. in the air");
        assertThat(source.lines())
                .extracting(line -> line.layout().cell().orElseThrow().columns())
                .containsExactly(1, 2, 2);
    }

    @Test
    void aSecondColumnIsSeenWhereItsGapIsSmallInOneRow() throws Exception {
        String widest = "2. a veil with a wide brim";
        // No more than the space between two words.
        float second = 60 + PLAIN.getStringWidth(widest) / 1000 * 11 + 4;
        Source source = pdf(out -> {
            at(out, PLAIN, 11, 60, 100, "1. smoker");
            at(out, PLAIN, 11, second, 100, "a. covers the face");
            at(out, PLAIN, 11, 60, 116, widest);
            at(out, PLAIN, 11, second, 116, "b. calms the bees");
        });
        assertThat(texts(source).get(1)).isEqualTo(widest + "   b. calms the bees");
    }

    @Test
    void lettersBesideADrawingAreItsLabelsAndWordsAreNot() throws Exception {
        Source source = pdf(out -> {
            at(out, PLAIN, 11, 60, 100, "1. How long is the side named a?");
            at(out, PLAIN, 11, 56, 150, "a");
            out.setLineWidth(1);
            out.moveTo(70, PDRectangle.A4.getHeight() - 108);
            out.lineTo(70, PDRectangle.A4.getHeight() - 190);
            out.lineTo(190, PDRectangle.A4.getHeight() - 190);
            out.closeAndStroke();
        });
        assertThat(source.lines())
                .filteredOn(line -> line.layout().place() == Place.BODY)
                .extracting(Line::text)
                .anyMatch(text -> text.equals("1. How long is the side named a?"));
        assertThat(source.figures()).hasSize(1);
    }

    @Test
    void anUnderlinedWordOverAnotherIsNoFraction() throws Exception {
        Source source = pdf(out -> {
            at(out, PLAIN, 12, 60, 100, "A) wax");
            rule(out, 76, 101.5f, 20);
            at(out, PLAIN, 12, 60, 114, "B) oil");
        });
        assertThat(texts(source)).containsExactly("A) wax", "B) oil");
        assertThat(source.line(1).isMostly(Emphasis.UNDERLINE, 3, 6)).isTrue();
    }

    @Test
    void signsAboveOneAnotherWithoutABarAreToBeChecked() throws Exception {
        Source source = pdf(out -> {
            at(out, PLAIN, 12, 60, 100, "1. How many ways:");
            at(out, PLAIN, 9, 165, 97, "5");
            at(out, PLAIN, 9, 165.5f, 103, "2");
        });
        assertThat(source.notes()).extracting(Note::kind).containsExactly("formula-to-check");
    }

    /** A note's number is printed small in the text and again below a short rule at the page's foot (common practice). */
    @Test
    void notesAtThePagesFootAreNoText() throws Exception {
        Source source = pdf(
                out -> {
                    at(out, PLAIN, 11, 60, 700, "The hive was built in 1884");
                    at(out, PLAIN, 7, 201, 696, "1");
                    rule(out, 60, 770, 144);
                    at(out, PLAIN, 7, 60, 781, "1");
                    at(out, PLAIN, 9, 66, 784, "So says a stone over the door.");
                },
                out -> at(out, PLAIN, 11, 60, 60, "and stands still."));
        assertThat(source.lines().stream().map(line -> line.layout().place()))
                .containsExactly(Place.BODY, Place.FOOTNOTE, Place.BODY);
    }
}
