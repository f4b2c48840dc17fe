package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** Rich text as the RTF specification 1.9.1 describes it and as word processors write it. */
class RtfFormatTest {

    private static List<String> texts(Source source) {
        return source.lines().stream().map(Line::text).toList();
    }

    private static Source rtf(String body) throws IntakeException {
        return new Intake()
                .read(
                        "test.rtf",
                        ("{\\rtf1\\ansi\\ansicpg1252{\\fonttbl{\\f0 Times;}{\\f1\\fcharset2 Symbol;}{\\f2\\fcharset2 Wingdings;}{\\f3\\fcharset204 Times Cyr;}}{\\colortbl;\\red200\\green0\\blue0;}"
                                        + body + "}")
                                .getBytes(StandardCharsets.ISO_8859_1));
    }

    /** RTF 1.9.1: \\'hh in the code page, \\u with its skipped substitute, \\listtext holds the printed label. */
    @Test
    void richTextKeepsLabelsSignsAndEmphasis() throws IntakeException {
        Source source = rtf(
                "\\pard{\\listtext\\tab 1.\\tab}Wie gro\\'df ist \\u960?\\par\\pard\\li360 a) {\\b zwei} drei{\\v hidden}\\par\\cf1 red\\cf0\\par");
        assertThat(texts(source)).containsExactly("1. Wie gro\u00df ist \u03c0", "a) zwei drei", "hidden", "red");
        assertThat(source.line(3).layout().place()).isEqualTo(Place.HIDDEN);
        assertThat(source.line(1).labelEnd()).isEqualTo(3);
        assertThat(source.line(2).isMostly(Emphasis.BOLD, 3, 7)).isTrue();
        assertThat(source.line(2).layout().indent()).isEqualTo(360);
        assertThat(source.line(4).isMostly(Emphasis.COLOR, 0, 3)).isTrue();
    }

    /** RTF 1.9.1, Form Fields: fftype 0 is text, 1 a box, 2 a list; ffres 25 leaves it as its author set it. */
    @Test
    void fieldsOfFormsAreRoomBoxesOrWordsToChooseFrom() throws IntakeException {
        String field = "{\\field{\\*\\fldinst { %s {\\*\\formfield{%s}}}}{\\fldrslt {%s}}}";
        Source source = rtf("\\pard Wax is " + field.formatted("FORMTEXT", "\\fftype0", "")
                + ".\\par\\pard Comb is " + field.formatted("FORMTEXT", "\\fftype0", "wax") + ".\\par\\pard "
                + field.formatted("FORMCHECKBOX", "\\fftype1\\ffres25\\ffdefres1", "") + " yes\\par\\pard Smoke is "
                + field.formatted("FORMDROPDOWN", "\\fftype2{\\*\\ffl cool}{\\*\\ffl hot}", "cool") + ".\\par");
        assertThat(texts(source))
                .containsExactly("Wax is ________.", "Comb is wax.", "\u2611 yes", "Smoke is (cool / hot).");
    }

    @Test
    void rowsOfRichTextAreCells() throws IntakeException {
        Source source = rtf(
                "\\trowd\\cellx100\\cellx200\\pard\\intbl 1\\cell Why?\\cell\\row\\trowd\\cellx100\\cellx200\\pard\\intbl 2\\cell How?\\cell\\row\\pard after\\par");
        assertThat(texts(source)).containsExactly("1", "Why?", "2", "How?", "after");
        assertThat(source.line(4).layout().cell()).hasValueSatisfying(cell -> {
            assertThat(cell.row()).isEqualTo(1);
            assertThat(cell.column()).isEqualTo(1);
        });
        assertThat(source.line(5).layout().cell()).isEmpty();
    }

    /** Spaces that must not break stand where they were written, between the letters around them. */
    @Test
    void spacesThatMustNotBreakStayInTheirPlace() throws IntakeException {
        assertThat(texts(rtf("\\pard Pr\\u233\\'e9nom\\~: L\\'e9a\\par"))).containsExactly("Pr\u00e9nom : L\u00e9a");
    }

    /** RTF 1.9.1, Font Table: bytes are read by the character set of their font; symbol fonts hold signs. */
    @Test
    void stylesHaveNamesAndUnderlinedBlanksAreRules() throws IntakeException {
        Source source = rtf("{\\stylesheet{\\s0 Normal;}{\\s3\\b heading 2;}}"
                + "\\pard\\s3 Part A\\par\\pard\\s0 1. Bees build {\\ul\\~\\~\\~\\~} of wax.\\par");
        assertThat(source.lines()).extracting(Line::text).containsExactly("Part A", "1. Bees build ________ of wax.");
        assertThat(source.line(1).layout().style()).isEqualTo("heading 2");
        assertThat(source.line(2).layout().style()).isEqualTo("Normal");
    }

    @Test
    void bytesAreReadByTheirFont() throws IntakeException {
        Source source = rtf("\\pard{\\f1 a\\'b3}{\\f0 b} {\\f2\\'fe} wax {\\f3\\'ec\\'b8\\'e4}\\par");
        assertThat(texts(source)).containsExactly("\u03b1\u2265b \u2611 wax \u043c\u0451\u0434");
    }

    /** RTF 1.9.1, Math: the groups of a formula are those of Office Math. */
    @Test
    void formulasAreLatex() throws IntakeException {
        Source source = rtf("\\pard Find {\\mmath{\\*\\moMath{\\mf{\\mfPr{\\mctrlPr}}{\\mnum{\\mr a}}{\\mden{\\mr b}}}"
                + "{\\mr +}{\\mrad{\\mradPr{\\mdegHide on}}{\\mdeg}{\\me{\\mr c}}}}} now.\\par");
        assertThat(texts(source)).containsExactly("Find \\(\\frac{a}{b}+\\sqrt{c}\\) now.");
    }

    /** Notes, comments, boxes and running heads are lines of their own places and do not break the sentence they hang on. */
    @Test
    void whatStandsBesideTheTextFollowsIt() throws IntakeException {
        Source source = rtf(
                "{\\header\\pard Head\\par}\\pard Bees{\\super 1}{\\footnote\\pard A note.\\par} and"
                        + "{\\*\\annotation\\pard Check!\\par} wasps{\\deleted  gone}"
                        + "{\\shp{\\*\\shpinst{\\sp{\\sn fLine}{\\sv 0}}{\\shptxt\\pard Boxed\\par}}{\\shprslt old}}.\\par Next\\par");
        assertThat(texts(source)).containsExactly("Head", "Bees1 and wasps.", "A note.", "Check!", "Boxed", "Next");
        assertThat(source.lines().stream().map(line -> line.layout().place()))
                .containsExactly(Place.HEADER, Place.BODY, Place.FOOTNOTE, Place.COMMENT, Place.TEXT_BOX, Place.BODY);
    }

    /** RTF 1.9.1, Pictures: what older programs show instead is no second picture. */
    @Test
    void aPictureIsThereOnceWithItsDescription() throws IntakeException {
        Source source = rtf(
                "\\pard{\\*\\shppict{\\pict{\\*\\picprop{\\sp{\\sn wzDescription}{\\sv A hive}}}\\pngblip 89504e47}}"
                        + "{\\nonshppict{\\pict\\wmetafile8 0100}}\\par");
        assertThat(source.figures()).hasSize(1);
        assertThat(source.figures().get(0).alternative()).isEqualTo("A hive");
        assertThat(source.figures().get(0).bytes()).hasSize(4);
    }

    /** RTF 1.9.1, Form Fields: 25 stands for the box as its author set it. */
    @Test
    void boxesOfFormsPrintTicked() throws IntakeException {
        String box = "{\\field{\\*\\fldinst FORMCHECKBOX {\\*\\formfield{\\fftype1\\ffres%s\\ffdefres%s}}}{\\fldrslt}}";
        Source source = rtf("\\pard " + box.formatted("1", "0") + " wax " + box.formatted("25", "0") + " oil\\par");
        assertThat(texts(source)).containsExactly("\u2611 wax \u2610 oil");
    }

    /** A table within a cell is a table of its own; every row knows how many cells it has. */
    @Test
    void tablesWithinTablesAreTheirOwn() throws IntakeException {
        Source source = rtf(
                "\\trowd\\cellx100\\cellx200\\pard\\intbl 1\\cell\\pard\\intbl\\itap2 in\\nestcell out\\nestcell"
                        + "{\\*\\nesttableprops\\trowd\\cellx50\\nestrow}\\pard\\intbl\\itap1 on\\cell\\row\\pard after\\par");
        assertThat(texts(source)).containsExactly("1", "in", "out", "on", "after");
        assertThat(source.line(1).layout().cell().orElseThrow().columns()).isEqualTo(2);
        assertThat(source.line(2).layout().cell().orElseThrow().table())
                .isNotEqualTo(source.line(1).layout().cell().orElseThrow().table());
        assertThat(source.line(4).layout().cell().orElseThrow().column()).isEqualTo(1);
    }
}
