package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** One document of each further format, with what matters written out in the test. */
class OtherFormatsTest {

    private static final String ODF = " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
            + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\""
            + " xmlns:style=\"urn:oasis:names:tc:opendocument:xmlns:style:1.0\""
            + " xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\""
            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\"";

    private static List<String> texts(Source source) {
        return source.lines().stream().map(Line::text).toList();
    }

    private static Source odt(String styles, String text) throws IntakeException {
        byte[] bytes = new Docx()
                .part(
                        "content.xml",
                        "<office:document-content" + ODF + "><office:automatic-styles>" + styles
                                + "</office:automatic-styles><office:body><office:text>" + text
                                + "</office:text></office:body></office:document-content>")
                .bytes();
        return new Intake().read("test.odt", bytes);
    }

    /** ODF 1.3, 19.880 (text:start-value), 5.3.3 (lists continue where they say so and begin anew elsewhere). */
    @Test
    void listsOfAnOpenDocumentCountAsTheyPrint() throws IntakeException {
        String style = "<text:list-style style:name=\"L1\">"
                + "<text:list-level-style-number text:level=\"1\" style:num-format=\"1\" style:num-suffix=\".\"/>"
                + "<text:list-level-style-number text:level=\"2\" style:num-format=\"a\" style:num-prefix=\"(\" style:num-suffix=\")\"/></text:list-style>";
        String list = "<text:list text:style-name=\"L1\"><text:list-item><text:p>Why?</text:p><text:list>"
                + "<text:list-item><text:p>so</text:p></text:list-item><text:list-item><text:p>thus</text:p></text:list-item></text:list>"
                + "</text:list-item></text:list><text:list text:style-name=\"L1\" text:continue-numbering=\"true\">"
                + "<text:list-item><text:p>How?</text:p></text:list-item></text:list>"
                + "<text:list text:style-name=\"L1\"><text:list-item text:start-value=\"7\"><text:p>Who?</text:p></text:list-item></text:list>";
        assertThat(texts(odt(style, list))).containsExactly("1. Why?", "(a) so", "(b) thus", "2. How?", "7. Who?");
    }

    @Test
    void spansOfAnOpenDocumentKeepTheirEmphasisAndSpaces() throws IntakeException {
        String style =
                "<style:style style:name=\"T1\" style:family=\"text\"><style:text-properties fo:font-weight=\"bold\"/></style:style>";
        Source source = odt(
                style,
                "<text:p><text:span text:style-name=\"T1\">bold</text:span><text:s text:c=\"3\"/>plain<text:line-break/>next</text:p>");
        assertThat(texts(source)).containsExactly("bold   plain", "next");
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 0, 4)).isTrue();
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 4, 12)).isFalse();
    }

    @Test
    void deletedTextOfAnOpenDocumentIsGone() throws IntakeException {
        Source source = odt(
                "",
                "<text:tracked-changes><text:changed-region><text:deletion><text:p>old</text:p></text:deletion></text:changed-region></text:tracked-changes><text:p>new</text:p>");
        assertThat(texts(source)).containsExactly("new");
    }

    /** RFC 4180, 2.5 to 2.7: quoted fields hold commas, line ends and doubled quotation marks. */
    @Test
    void quotedFieldsOfASheetAreWhole() throws IntakeException {
        Source source = new Intake()
                .read(
                        "t.csv",
                        "No.,Question\n1,\"Which \"\"bee\"\", if any,\nlays?\"\n".getBytes(StandardCharsets.UTF_8));
        assertThat(texts(source)).containsExactly("No.", "Question", "1", "Which \"bee\", if any,", "lays?");
        assertThat(source.line(5).layout().cell())
                .isEqualTo(source.line(4).layout().cell());
    }

    @Test
    void semicolonsPartTheSheetsOfOtherCountries() throws IntakeException {
        Source source =
                new Intake().read("t.csv", "Nr;Frage;Punkte\n1;Wie, bitte?;1,5\n".getBytes(StandardCharsets.UTF_8));
        assertThat(texts(source)).containsExactly("Nr", "Frage", "Punkte", "1", "Wie, bitte?", "1,5");
    }

    @Test
    void sheetsShareTheirStrings() throws IntakeException {
        byte[] bytes = new Docx()
                .part(
                        "xl/sharedStrings.xml",
                        "<sst xmlns=\"x\"><si><t>Why?</t></si><si><r><t>be</t></r><r><t>cause</t></r></si></sst>")
                .part(
                        "xl/worksheets/sheet1.xml",
                        "<worksheet xmlns=\"x\"><sheetData><row r=\"1\"><c r=\"A1\"><v>1</v></c><c r=\"C1\" t=\"s\"><v>0</v></c></row><row r=\"2\"><c r=\"A2\" t=\"s\"><v>1</v></c></row></sheetData></worksheet>")
                .bytes();
        Source source = new Intake().read("t.xlsx", bytes);
        assertThat(texts(source)).containsExactly("1", "Why?", "because");
        assertThat(source.line(2).layout().cell())
                .hasValueSatisfying(cell -> assertThat(cell.column()).isEqualTo(2));
    }

    /** The HTML standard, list owners: a nested list counts for itself, type A letters it. */
    @Test
    void listsOfAPageAreNumberedAsABrowserNumbersThem() throws IntakeException {
        String html =
                "<style>p{}</style><h2>Bees</h2><ol start=3><li>Why?<ol type=A><li><b>so</b></li><li>thus</li></ol></li><li>How?</li></ol><script>x()</script>";
        Source source = new Intake().read("t.html", html.getBytes(StandardCharsets.UTF_8));
        assertThat(texts(source)).containsExactly("Bees", "3. Why?", "A. so", "B. thus", "4. How?");
        assertThat(source.line(1).layout().isHeading()).isTrue();
        assertThat(source.line(3).isMostly(Emphasis.BOLD, 3, 5)).isTrue();
    }

    /** CommonMark 0.31, emphasis and lists; single line ends stay lines, as assistants mean them. */
    @Test
    void markdownIsReadAsItShows() throws IntakeException {
        Source source = new Intake()
                .read(
                        "t.md",
                        "**1. Who?**\n\nA) workers\nB) *drones*\n\n- one\n- two\n".getBytes(StandardCharsets.UTF_8));
        assertThat(texts(source)).containsExactly("1. Who?", "A) workers", "B) drones", "\u2022 one", "\u2022 two");
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 0, 7)).isTrue();
    }
}
