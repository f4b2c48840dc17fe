package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
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

    /** ODF 1.3, 5.3.3: text between its items interrupts a list and none of its levels. */
    @Test
    void aListThatTextInterruptsCountsOnInAllItsLevels() throws IntakeException {
        String style = "<text:list-style style:name=\"L1\">"
                + "<text:list-level-style-number text:level=\"1\" style:num-format=\"1\" style:num-suffix=\".\"/>"
                + "<text:list-level-style-number text:level=\"2\" style:num-format=\"a\" style:num-suffix=\")\"/></text:list-style>";
        String goesOn =
                "<text:list text:style-name=\"L1\" text:continue-numbering=\"true\"><text:list-item>%s</text:list-item></text:list>";
        String part = "<text:list><text:list-item><text:p>%s</text:p></text:list-item></text:list>";
        String text =
                "<text:list text:style-name=\"L1\"><text:list-item><text:p>Look.</text:p></text:list-item></text:list>"
                        + goesOn.formatted(part.formatted("Where?"))
                        + "<text:p>between</text:p>"
                        + goesOn.formatted(part.formatted("When?"))
                        + goesOn.formatted("<text:p>Think.</text:p>" + part.formatted("Why?"));
        assertThat(texts(odt(style, text)))
                .containsExactly("1. Look.", "a) Where?", "between", "b) When?", "2. Think.", "a) Why?");
    }

    /** As LibreOffice writes the fields of forms that come from other word processors. */
    @Test
    void fieldsOfFormsInAnOpenDocumentAreRoomBoxesOrWordsToChooseFrom() throws IntakeException {
        String type = " field:type=\"vnd.oasis.opendocument.field.%s\"";
        String space = " xmlns:field=\"urn:openoffice:names:experimental:ooo-ms-interop:xmlns:field:1.0\"";
        String text = "<text:p>Wax is <field:fieldmark-start" + space + type.formatted("FORMTEXT")
                + "/><field:fieldmark-end" + space + "/>.</text:p><text:p><field:fieldmark" + space
                + type.formatted("FORMCHECKBOX")
                + "><field:param field:name=\"Checkbox_Checked\" field:value=\"true\"/></field:fieldmark> yes</text:p>"
                + "<text:p>Smoke is <field:fieldmark" + space + type.formatted("FORMDROPDOWN")
                + "><field:param field:name=\"Dropdown_ListEntry\" field:value=\"cool\"/>"
                + "<field:param field:name=\"Dropdown_ListEntry\" field:value=\"hot\"/></field:fieldmark>.</text:p>";
        assertThat(texts(odt("", text))).containsExactly("Wax is ________.", "\u2611 yes", "Smoke is (cool / hot).");
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

    /** CSS Lists 3 and the HTML standard's list owners: the labels that a browser prints. */
    @Test
    void labelsOfAPageComeFromItsStylesToo() throws IntakeException {
        assertThat(
                        texts(
                                page(
                                        "<style>ol.o{list-style-type:upper-alpha} .none{list-style:none}"
                                                + " .kix > li:before{content:'(' counter(k, lower-latin) ') '}</style>"
                                                + "<ol><li value=7>Why?<ol class=o><li>so<li>thus</ol><li>How?</ol>"
                                                + "<ol reversed><li>x<li>y</ol><ul class=none><li>bare</ul>"
                                                + "<ol class='kix none'><li>one<li>two</ol><ol style='list-style-type: lower-roman'><li>r</ol>")))
                .containsExactly(
                        "7. Why?", "A. so", "B. thus", "8. How?", "2. x", "1. y", "bare", "(a) one", "(b) two", "i. r");
    }

    /** CSS 2.2: weight, colour, background and display, whether said by a sheet or by the element itself. */
    @Test
    void looksOfAPageComeFromItsStylesToo() throws IntakeException {
        Source source = page("<style>.k{font-weight:700;color:#c00} .gone{display:none}</style>"
                + "<b style='font-weight:normal'><p>plain <span class=k>key</span></p></b>"
                + "<p><span style='background:yellow'>marked</span></p><p class=gone>for me only</p>"
                + "<p style='margin-left:36pt'>in</p>");
        assertThat(texts(source)).containsExactly("plain key", "marked", "for me only", "in");
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 0, 5)).isFalse();
        assertThat(source.line(1).isMostly(Emphasis.BOLD, 6, 9)).isTrue();
        assertThat(source.line(1).isMostly(Emphasis.COLOR, 6, 9)).isTrue();
        assertThat(source.line(2).isMostly(Emphasis.HIGHLIGHT, 0, 6)).isTrue();
        assertThat(source.line(3).layout().place()).isEqualTo(Place.HIDDEN);
        assertThat(source.line(4).layout().indent()).isEqualTo(720);
    }

    @Test
    void picturesFormulasAndFieldsOfAPageAreKept() throws IntakeException {
        Source source = page("<p>See <img alt=comb src='data:image/gif;base64,R0lGODlhAQABAAAAACw='> here"
                + " <img src='files/frame.png?x=1' alt='a frame'></p>"
                + "<p>Is <math><mfrac><mi>a</mi><mn>2</mn></mfrac></math><span aria-hidden=true>a2</span> more?</p>"
                + "<p>The smoker <select><option value=''>choose</option><option>calms</option><option>feeds</option></select>"
                + " bees in <input name=x> minutes.</p><input type=hidden value=1><button>Send</button>"
                + "<label><input type=radio> yes</label><label><input type=radio checked> no</label>"
                + "<pre>if a:\n    b</pre><svg><path d='M0'/></svg>");
        assertThat(texts(source))
                .containsExactly(
                        "See \uFFFC here ![a frame](files/frame.png)",
                        "Is \\(\\frac{a}{2}\\) more?",
                        "The smoker (calms / feeds) bees in ________ minutes.",
                        "\u2610 yes",
                        "\u2611 no",
                        "if a:",
                        "b");
        assertThat(source.figures()).singleElement().satisfies(figure -> {
            assertThat(figure.alternative()).isEqualTo("comb");
            assertThat(figure.bytes()).startsWith('G', 'I', 'F');
        });
        assertThat(source.notes()).extracting(Note::kind).containsExactly("figure-absent");
    }

    /** The HTML standard, "Forming a table": what reaches over rows pushes the cells below it aside. */
    @Test
    void cellsThatReachOverRowsKeepTheOthersInPlace() throws IntakeException {
        Source source = page("<table><tr><td rowspan=2>1<td>Why?<td>a<tr><td>How?<td>b</table>"
                + "<table><tr><td>out<table><tr><td>in</table></table>");
        assertThat(texts(source)).containsExactly("1", "Why?", "a", "How?", "b", "out", "in");
        assertThat(source.lines().subList(3, 5))
                .extracting(line -> line.layout().cell().orElseThrow())
                .containsExactly(new Cell(0, 1, 1, 3), new Cell(0, 1, 2, 3));
        assertThat(source.line(7).layout().cell()).hasValue(new Cell(2, 0, 0, 1));
    }

    private static Source page(String html) throws IntakeException {
        return new Intake().read("t.htm", html.getBytes(StandardCharsets.UTF_8));
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

    /** CommonMark (0.31, 5.3) counts on from a list's first number; numbers typed ahead are meant. */
    @Test
    void numbersOfMarkdownRunAheadAsTypedAndElseCountOn() throws IntakeException {
        assertThat(texts(markdown("1. Who?\n2. What?\n\n5. Why?\n6. When?\n")))
                .containsExactly("1. Who?", "2. What?", "5. Why?", "6. When?");
        assertThat(texts(markdown("1. Who?\n1. What?\n1. Why?\n"))).containsExactly("1. Who?", "2. What?", "3. Why?");
    }

    private static Source markdown(String text) throws IntakeException {
        return new Intake().read("t.md", text.getBytes(StandardCharsets.UTF_8));
    }
}
