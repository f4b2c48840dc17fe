package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;

/** Archives of a document with its pictures, and what spreadsheets make of ranges. */
class NamedPicturesTest {

    private static byte[] zip(Map<String, String> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "What is this? [picture: comb.png]|What is this? \uFFFC",
                "What is this? (comb.png)|What is this? \uFFFC",
                "Picture: comb.png|\uFFFC",
                "See pictures/comb.png here.|See pictures/\uFFFC here.",
                "The file honeycomb.png is another.|The file honeycomb.png is another."
            })
    void aPictureStandsWhereTheTextNamesIt(String typed, String read) throws IOException, IntakeException {
        Map<String, String> files = new LinkedHashMap<>();
        files.put("test.txt", "1. " + typed + "\nA. wax\nB. wood\n");
        files.put("pictures/comb.png", "png");
        files.put("__MACOSX/._test.txt", "x");
        Source source = new Intake().read("test.zip", zip(files));
        assertThat(source.lines().get(0).text()).isEqualTo("1. " + read);
        boolean named = read.indexOf(Line.FIGURE) >= 0;
        assertThat(source.figures()).hasSize(named ? 1 : 0);
        assertThat(source.notes()).extracting(Note::kind).isEqualTo(named ? List.of() : List.of("figure-nowhere"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "test.md|1. What is this? ![a comb](pictures/comb.png)",
                "test.html|<p>1. What is this? <img src='pictures/comb.png' alt='a comb'></p>"
            })
    void aPictureOfAPageIsFoundInTheArchiveOrSaidToBeMissing(String name, String typed)
            throws IOException, IntakeException {
        Source whole = new Intake().read("test.zip", zip(Map.of(name, typed, "pictures/comb.png", "png")));
        assertThat(whole.lines().get(0).text()).isEqualTo("1. What is this? \uFFFC");
        assertThat(whole.figures()).extracting(Figure::alternative).containsExactly("a comb");
        assertThat(whole.notes()).isEmpty();
        Source bare = new Intake().read(name, typed.getBytes(StandardCharsets.UTF_8));
        assertThat(bare.notes()).singleElement().satisfies(note -> {
            assertThat(note.kind()).isEqualTo("figure-absent");
            assertThat(note.message()).contains("comb.png", ".zip");
        });
    }

    @Test
    void anArchiveOfSeveralTestsSaysSo() throws IOException {
        byte[] two = zip(Map.of("a.txt", "1. x", "b.txt", "1. y"));
        assertThatThrownBy(() -> new Intake().read("two.zip", two)).hasMessageContaining("several documents");
        byte[] none = zip(Map.of("a.png", "x"));
        assertThatThrownBy(() -> new Intake().read("none.zip", none)).hasMessageContaining("no document");
    }

    @ParameterizedTest
    @CsvSource({
        "5-Mar, 3-5",
        "3-May, 3-5",
        "Oct-12, 10-12",
        "05. M\u00e4r, 3-5",
        "3-mai, 3-5",
        "12 June, ",
        "5-Foo, ",
        "3-5, ",
        "May, "
    })
    void aRangeThatASheetTookForADateIsARangeAgain(String shown, String range) throws IntakeException {
        Source source =
                new Intake().read("t.csv", ("Question,For\nRead it.," + shown + "\n").getBytes(StandardCharsets.UTF_8));
        assertThat(source.lines().get(3).text()).isEqualTo(range == null ? shown : range);
        assertThat(source.notes()).hasSize(range == null ? 0 : 1);
    }

    /**
     * ECMA-376 part 1, 18.8.30: number format 16 is d-mmm, 14 has the year too and shows a date; 18.17.4: day 46086 is the 5th of
     * March 2026.
     */
    @Test
    void aDayWithoutAYearInASheetIsARange() throws IOException, IntakeException {
        String main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
        Map<String, String> files = new LinkedHashMap<>();
        files.put(
                "xl/styles.xml",
                "<styleSheet xmlns='" + main
                        + "'><cellXfs><xf numFmtId='0'/><xf numFmtId='16'/><xf numFmtId='14'/></cellXfs></styleSheet>");
        files.put(
                "xl/worksheets/sheet1.xml",
                "<worksheet xmlns='" + main
                        + "'><sheetData><row><c r='A1' s='1'><v>46086</v></c><c r='B1' s='2'><v>46086</v></c></row></sheetData></worksheet>");
        Source source = new Intake().read("t.xlsx", zip(files));
        assertThat(source.lines()).extracting(Line::text).containsExactly("3-5", "2026-03-05");
        assertThat(source.notes()).hasSize(1);
    }

    /** A bitmap becomes PNG; a metafile (MS-WMF: header 9 words, version 0x0300) that can't be drawn stays as it was. */
    @Test
    void whatBrowsersCannotShowIsDrawnOrKept() {
        byte[] bitmap = new byte[58];
        bitmap[0] = 'B';
        bitmap[1] = 'M';
        bitmap[2] = 58;
        bitmap[10] = 54;
        bitmap[14] = 40;
        bitmap[18] = 1;
        bitmap[22] = 1;
        bitmap[26] = 1;
        bitmap[28] = 24;
        bitmap[34] = 4;
        Figure shown = Pictures.shown(new Figure("f1", "image/bmp", "a dot", bitmap));
        assertThat(shown.mediaType()).isEqualTo("image/png");
        assertThat(shown.bytes()).startsWith(0x89, 'P', 'N', 'G');
        byte[] damaged = {1, 0, 9, 0, 0, 3, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0};
        Figure kept = Pictures.shown(new Figure("f2", "image/wmf", "", damaged));
        assertThat(kept.bytes()).isEqualTo(damaged);
        assertThat(Pictures.isShowable(kept)).isFalse();
    }
}
