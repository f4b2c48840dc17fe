package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.tidyleaf.intake.common.ListLabels;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

class DocxFormatTest {

    private static final String TWO_LEVELS = "<w:abstractNum w:abstractNumId=\"0\">"
            + "<w:lvl w:ilvl=\"0\"><w:start w:val=\"1\"/><w:numFmt w:val=\"decimal\"/><w:lvlText w:val=\"Question %1:\"/></w:lvl>"
            + "<w:lvl w:ilvl=\"1\"><w:start w:val=\"1\"/><w:numFmt w:val=\"lowerLetter\"/><w:lvlText w:val=\"%1%2)\"/></w:lvl>"
            + "</w:abstractNum>";

    private static Source read(Docx docx) throws IntakeException {
        return new Intake().read("test.docx", docx.bytes());
    }

    private static List<String> texts(Source source) {
        return source.lines().stream().map(Line::text).toList();
    }

    private static String numbered(int list, int level, String text) {
        return "<w:p><w:pPr><w:numPr><w:ilvl w:val=\"" + level + "\"/><w:numId w:val=\"" + list
                + "\"/></w:numPr></w:pPr><w:r><w:t>" + text + "</w:t></w:r></w:p>";
    }

    /** ISO/IEC 29500-1, 17.18.59 (ST_NumberFormat): the letter repeats after z, Roman numerals as in the standard's text. */
    @ParameterizedTest
    @CsvSource({
        "1, upperLetter, A",
        "26, upperLetter, Z",
        "27, upperLetter, AA",
        "53, lowerLetter, aaa",
        "4, lowerRoman, iv",
        "1999, upperRoman, MCMXCIX",
        "7, decimalZero, 07",
        "22, ordinal, 22nd",
        "13, ordinal, 13th"
    })
    void numbersPrintInTheFormatsOfTheStandard(int value, String format, String printed) {
        assertThat(ListLabels.print(value, format)).isEqualTo(printed);
    }

    /** ISO/IEC 29500-1, 17.9.10 (lvlRestart, its default): a deeper level begins anew after a higher one. */
    @Test
    void deeperLevelsRestartAndShowTheHigherNumber() throws IntakeException {
        Source source = read(Docx.body(numbered(1, 0, "Why?")
                        + numbered(1, 1, "yes")
                        + numbered(1, 1, "no")
                        + numbered(1, 0, "How?")
                        + numbered(1, 1, "so"))
                .numbering(TWO_LEVELS + "<w:num w:numId=\"1\"><w:abstractNumId w:val=\"0\"/></w:num>"));
        assertThat(texts(source))
                .containsExactly("Question 1: Why?", "1a) yes", "1b) no", "Question 2: How?", "2a) so");
        assertThat(source.line(1).labelEnd()).isEqualTo("Question 1: ".length());
    }

    /** ISO/IEC 29500-1, 17.9.26 (startOverride): lists of one definition count on, an override begins anew once. */
    @Test
    void listsOfOneDefinitionCountOnUntilAnOverride() throws IntakeException {
        Source source = read(
                Docx.body(numbered(1, 0, "a") + numbered(2, 0, "b") + numbered(3, 0, "c") + numbered(3, 0, "d"))
                        .numbering(
                                TWO_LEVELS
                                        + "<w:num w:numId=\"1\"><w:abstractNumId w:val=\"0\"/></w:num>"
                                        + "<w:num w:numId=\"2\"><w:abstractNumId w:val=\"0\"/></w:num>"
                                        + "<w:num w:numId=\"3\"><w:abstractNumId w:val=\"0\"/><w:lvlOverride w:ilvl=\"0\"><w:startOverride w:val=\"7\"/></w:lvlOverride></w:num>"));
        assertThat(texts(source)).containsExactly("Question 1: a", "Question 2: b", "Question 7: c", "Question 8: d");
    }

    @Test
    void trackedChangesCountAsAccepted() throws IntakeException {
        Source source = read(
                Docx.body("<w:p><w:r><w:t>Bees have </w:t></w:r><w:del><w:r><w:delText>four</w:delText></w:r></w:del>"
                        + "<w:ins><w:r><w:t>six</w:t></w:r></w:ins><w:r><w:t> legs.</w:t></w:r></w:p>"));
        assertThat(texts(source)).containsExactly("Bees have six legs.");
    }

    /** ECMA-376-1, 17.13.5.15: a deleted mark joins its paragraph to the next; an empty one is gone, number and all. */
    @Test
    void aParagraphThatIsDeletedAsAWholeHasNoNumber() throws IntakeException {
        String kept = numbered(1, 0, "kept");
        String deleted = kept.replace("<w:pPr>", "<w:pPr><w:rPr><w:del w:id='1' w:author='x'/></w:rPr>")
                .replace("<w:r>", "<w:del w:id='2' w:author='x'><w:r>")
                .replace("</w:r>", "</w:r></w:del>");
        Source source = read(Docx.body(kept + deleted + kept)
                .numbering(TWO_LEVELS + "<w:num w:numId=\"1\"><w:abstractNumId w:val=\"0\"/></w:num>"));
        assertThat(texts(source)).containsExactly("Question 1: kept", "Question 2: kept");
    }

    @Test
    void hiddenTextIsALineOfItsOwn() throws IntakeException {
        Source source = read(Docx.body(
                "<w:p><w:r><w:t>Shown</w:t></w:r><w:r><w:rPr><w:vanish/></w:rPr><w:t>not shown</w:t></w:r></w:p>"));
        assertThat(texts(source)).containsExactly("Shown", "not shown");
        assertThat(source.line(2).layout().place()).isEqualTo(Place.HIDDEN);
    }

    @Test
    void breaksMakeLinesAndUnderlinedTabsMakeGaps() throws IntakeException {
        Source source = read(Docx.body(
                "<w:p><w:r><w:t>A queen is fed </w:t></w:r><w:r><w:rPr><w:u w:val=\"single\"/></w:rPr><w:tab/></w:r>"
                        + "<w:r><w:t>.</w:t><w:br/><w:t>next</w:t></w:r></w:p>"));
        assertThat(texts(source)).containsExactly("A queen is fed ________.", "next");
    }

    /** Forms of ECMA-376-1, 17.16.17 and 17.5.2: what is to be filled in on the screen is room on paper. */
    @Test
    void fieldsAndContentControlsAreRoomToWriteOrWordsToChooseFrom() throws IntakeException {
        String field = "<w:r><w:fldChar w:fldCharType='begin'><w:ffData>%s</w:ffData></w:fldChar></w:r>"
                + "<w:r><w:instrText>FORM</w:instrText></w:r><w:r><w:fldChar w:fldCharType='separate'/></w:r>"
                + "<w:r><w:t>%s</w:t></w:r><w:r><w:fldChar w:fldCharType='end'/></w:r>";
        String control = "<w:sdt><w:sdtPr>%s</w:sdtPr><w:sdtContent><w:r><w:t>Choose an item.</w:t></w:r>"
                + "</w:sdtContent></w:sdt>";
        String typed = "<w:p><w:r><w:t>%s</w:t></w:r>%s<w:r><w:t>.</w:t></w:r></w:p>";
        String body = typed.formatted("Wax is ", field.formatted("<w:textInput/>", "\u2002\u2002\u2002"))
                + typed.formatted("Comb is ", field.formatted("<w:textInput/>", "made of wax"))
                + typed.formatted(
                        "Smoke is ",
                        field.formatted(
                                "<w:ddList><w:listEntry w:val='cool'/><w:listEntry w:val='hot'/></w:ddList>", "cool"))
                + typed.formatted(
                        "A hive has ",
                        control.formatted("<w:dropDownList><w:listItem w:displayText='Choose an item.' w:value=''/>"
                                + "<w:listItem w:displayText='one queen' w:value='1'/>"
                                + "<w:listItem w:displayText='two' w:value='2'/></w:dropDownList>"))
                + typed.formatted("Bees eat ", control.formatted("<w:showingPlcHdr/><w:text/>"));
        assertThat(texts(read(Docx.body(body))))
                .containsExactly(
                        "Wax is ________.",
                        "Comb is made of wax.",
                        "Smoke is (cool / hot).",
                        "A hive has (one queen / two).",
                        "Bees eat ________.");
    }

    @Test
    void emphasisComesFromStylesAndIsSwitchedOffInTheRun() throws IntakeException {
        String styles = "<w:styles xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\">"
                + "<w:style w:type=\"paragraph\" w:styleId=\"Key\"><w:name w:val=\"Key line\"/><w:rPr><w:b/></w:rPr></w:style></w:styles>";
        Source source = read(Docx.body("<w:p><w:pPr><w:pStyle w:val=\"Key\"/></w:pPr><w:r><w:t>bold</w:t></w:r>"
                        + "<w:r><w:rPr><w:b w:val=\"0\"/></w:rPr><w:t>plain</w:t></w:r></w:p>")
                .part("word/styles.xml", styles)
                .part(
                        "word/_rels/document.xml.rels",
                        "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"/>"));
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 0, 4)).isTrue();
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 4, 9)).isFalse();
        assertThat(source.line(1).layout().style()).isEqualTo("Key line");
    }

    /** ISO/IEC 29500-1, 22.1.2.36 (f) and 22.1.2.88 (rad): structure for structure. */
    @Test
    void equationsBecomeLatex() throws IntakeException {
        Source source = read(
                Docx.body(
                        "<w:p><m:oMath><m:f><m:num><m:r><m:t>1</m:t></m:r></m:num><m:den><m:rad><m:deg/><m:e><m:sSup>"
                                + "<m:e><m:r><m:t>x</m:t></m:r></m:e><m:sup><m:r><m:t>2</m:t></m:r></m:sup></m:sSup></m:e></m:rad></m:den></m:f></m:oMath></w:p>"));
        assertThat(texts(source)).containsExactly("\\(\\frac{1}{\\sqrt{x^{2}}}\\)");
    }

    /** OWASP, XML External Entity Prevention: a document type is refused before anything in it is looked at. */
    @Test
    void aGroupOfShapesIsOnePictureWithItsInscriptions() throws IntakeException {
        // ECMA-376-1, 20.1.7.5: children are placed in the units of the group's child extents, here ten to a point.
        String triangle =
                shape("triangle", 0, 0, 1000, 1000, "<a:solidFill><a:srgbClr val='FF0000'/></a:solidFill>", "");
        String label = shape("rect", 0, 1000, 1000, 400, "<a:noFill/>", "6 cm");
        Source source = read(
                Docx.body(drawing("<wpg:wgp><wpg:grpSpPr><a:xfrm><a:off x='0' y='0'/><a:ext cx='1270000' cy='1778000'/>"
                        + "<a:chOff x='0' y='0'/><a:chExt cx='1000' cy='1400'/></a:xfrm></wpg:grpSpPr>" + triangle
                        + label
                        + "</wpg:wgp>")));
        assertThat(source.lines()).extracting(Line::text).containsExactly("How long is this side? \ufffc");
        BufferedImage painted = picture(source);
        // 100 by 140 points and a margin of four, at two pixels to a point.
        assertThat(List.of(painted.getWidth(), painted.getHeight())).containsExactly(216, 296);
        assertThat(painted.getRGB(108, 150)).as("inside the triangle").isEqualTo(0xFFFF0000);
        assertThat(painted.getRGB(20, 20)).as("left of its top").isEqualTo(0xFFFFFFFF);
        assertThat(isInked(painted, 60, 215, 156, 280)).as("the inscription").isTrue();
    }

    @Test
    void longTextInABoxIsTextAndLosesNoPicture() throws IntakeException {
        String box =
                shape("rect", 0, 0, 1000, 1000, "<a:noFill/>", "Bees dance to tell the others where they found food.");
        Source source = read(Docx.body(drawing(box)));
        assertThat(source.lines())
                .extracting(Line::text)
                .containsExactly("How long is this side?", "Bees dance to tell the others where they found food.");
        assertThat(source.figures()).isEmpty();
        Source ruled = read(Docx.body(drawing(shape("line", 0, 0, 1000, 0, "", ""))));
        assertThat(ruled.figures()).as("a single line divides the page").isEmpty();
    }

    @Test
    void aChartThatCannotBeTakenOverIsSaid() throws IntakeException {
        Source source = read(Docx.body(drawing("<c:chart xmlns:c='urn:chart' r:id='rId9' xmlns:r='urn:r'/>")));
        assertThat(source.notes()).extracting(Note::kind).containsExactly("figure-absent");
    }

    private static String drawing(String content) {
        return "<w:p><w:r><w:t>How long is this side? </w:t></w:r><w:r><w:drawing xmlns:a='urn:a' xmlns:wpg='urn:g'"
                + " xmlns:wps='urn:s'><wp:inline xmlns:wp='urn:wp'><wp:extent cx='1270000' cy='1778000'/><a:graphic>"
                + "<a:graphicData>" + content + "</a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>";
    }

    private static String shape(String name, int x, int y, int width, int height, String fill, String text) {
        String box = text.isEmpty()
                ? ""
                : "<wps:txbx><w:txbxContent>" + Docx.paragraph(text) + "</w:txbxContent></wps:txbx>";
        return "<wps:wsp><wps:spPr><a:xfrm><a:off x='%d' y='%d'/><a:ext cx='%d' cy='%d'/></a:xfrm><a:prstGeom prst='%s'/>%s</wps:spPr>%s</wps:wsp>"
                .formatted(x, y, width, height, name, fill, box);
    }

    private static BufferedImage picture(Source source) {
        try {
            return ImageIO.read(new ByteArrayInputStream(source.figures().get(0).bytes()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static boolean isInked(BufferedImage image, int left, int top, int right, int bottom) {
        return IntStream.range(left, right)
                .anyMatch(x -> IntStream.range(top, bottom).anyMatch(y -> image.getRGB(x, y) == 0xFF000000));
    }

    @Test
    void entitiesAreRefused() {
        byte[] hostile = new Docx()
                .part("word/document.xml", "<!DOCTYPE a [<!ENTITY x SYSTEM \"file:///etc/hostname\">]><a>&x;</a>")
                .bytes();
        assertThatThrownBy(() -> new Intake().read("test.docx", hostile))
                .isInstanceOf(IntakeException.Unreadable.class);
    }

    @Test
    void aFileOfManyTimesItsSizeIsRefused() {
        byte[] bomb = Docx.body("")
                .part("word/media/a.bin", "0".repeat(410 * 1024 * 1024))
                .bytes();
        assertThat(bomb.length).isLessThan(1024 * 1024);
        assertThatThrownBy(() -> new Intake().read("test.docx", bomb)).isInstanceOf(IntakeException.TooLarge.class);
    }

    @Test
    void refusalsSayWhatToDo() {
        assertThatThrownBy(() -> new Intake().read("empty.docx", new byte[0]))
                .hasMessageContaining("Save the document again");
        assertThatThrownBy(() ->
                        new Intake().read("notes.docx", "1. Why?".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .hasMessageContaining("Name it .txt");
        assertThatThrownBy(() -> new Intake().read("talk.pptx", new byte[] {1})).hasMessageContaining(".docx");
        byte[] locked = new byte[600];
        System.arraycopy(new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0}, 0, locked, 0, 4);
        byte[] stream = "EncryptedPackage".getBytes(java.nio.charset.StandardCharsets.UTF_16LE);
        System.arraycopy(stream, 0, locked, 512, stream.length);
        assertThatThrownBy(() -> new Intake().read("secret.docx", locked)).isInstanceOf(IntakeException.Locked.class);
    }
}
