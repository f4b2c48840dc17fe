package org.tidyleaf.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.source.Emphasis;

class ProseTest {

    private static final Prose EMPHATIC = new Prose(List.of(
            new Inline.Text("Which is ", Set.of()),
            new Inline.Text("not", Set.of(Emphasis.BOLD)),
            new Inline.Text(" a bee?", Set.of()),
            new Inline.Picture("f1", "three insects")));

    @Test
    void anEditKeepsEmphasisAndPicturesOfWhatStays() {
        Prose edited = EMPHATIC.edited("Which of these is not a honey bee?");
        assertThat(edited.plain()).isEqualTo("Which of these is not a honey bee?");
        assertThat(edited.parts()).contains(new Inline.Text("not", Set.of(Emphasis.BOLD)));
        assertThat(edited.pictures()).hasSize(1);
    }

    @Test
    void whatIsTypedWithoutAChangeIsTheSameProse() {
        Prose written = Prose.written("Bees have [[1]] legs,\n\\(x^2\\) eyes.");
        assertThat(written.parts()).hasSize(6);
        assertThat(written.edited(written.typed())).isEqualTo(written);
        assertThat(EMPHATIC.edited(EMPHATIC.typed())).isEqualTo(EMPHATIC);
    }

    @Test
    void rowsWithinATextAreATable() {
        Prose prose = Prose.written("Use the table.\nHive\u2003Mites\nA\u2003[[1]]\nB\u20036\nWhich is worse?");
        List<ProseRows> blocks = ProseRows.of(prose);
        assertThat(blocks).extracting(ProseRows::isTable).containsExactly(false, true, false);
        assertThat(blocks.get(0).text().plain()).isEqualTo("Use the table.");
        assertThat(blocks.get(1).columns()).isEqualTo(2);
        assertThat(blocks.get(1).rows())
                .extracting(row -> row.stream().map(Prose::plain).toList())
                .containsExactly(List.of("Hive", "Mites"), List.of("A", "[[1]]"), List.of("B", "6"));
        assertThat(blocks.get(2).text().plain()).isEqualTo("Which is worse?");
        assertThat(ProseRows.of(Prose.written("One line\u2003only")))
                .extracting(ProseRows::isTable)
                .containsExactly(false);
    }

    /** Columns of grids were kept as plain texts before they could hold formulas. */
    @Test
    void whatWasKeptAsPlainTextIsStillRead() {
        Grid grid = StoredJson.read(
                StoredJson.write(new Grid(
                                new Particulars(
                                        "q1", "1", Prose.EMPTY, Optional.empty(), -1, -1, Prose.EMPTY, Prose.EMPTY),
                                List.of(Prose.of("True")),
                                List.of(EMPHATIC),
                                List.of()))
                        .replace(StoredJson.write(Prose.of("True")), "\"True\""),
                Grid.class);
        assertThat(grid.columns()).containsExactly(Prose.of("True"));
        assertThat(grid.rows()).containsExactly(EMPHATIC);
    }
}
