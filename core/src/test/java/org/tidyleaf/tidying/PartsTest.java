package org.tidyleaf.tidying;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;

/** Parts are typed anew, and of the key stays what is about parts that stay. */
class PartsTest {

    private static final Particulars ONE =
            new Particulars("q1", "1", Prose.of("Do it."), Optional.empty(), -1, -1, Prose.EMPTY, Prose.EMPTY);

    private static List<Prose> proses(String... texts) {
        return List.of(texts).stream().map(Prose::written).toList();
    }

    private static List<String> typed(List<Prose> proses) {
        return proses.stream().map(Prose::typed).toList();
    }

    @Test
    void aTypingErrorMendedLeavesTheKeyOfPairsAlone() {
        Match match = new Match(ONE, proses("smoker", "viel"), proses("covers", "calms"), List.of(1, 0));
        Match edited = (Match) Parts.edited(match, List.of(List.of("smoker", "veil"), List.of("covers", "calms")));
        assertThat(typed(edited.lefts())).containsExactly("smoker", "veil");
        assertThat(edited.key()).containsExactly(1, 0);
    }

    @Test
    void targetsInAnotherOrderTakeTheKeyAlong() {
        Match match = new Match(ONE, proses("smoker", "veil"), proses("covers", "calms"), List.of(1, 0));
        Match edited =
                (Match) Parts.edited(match, List.of(List.of("smoker", "veil"), List.of("calms", "covers", "heats")));
        assertThat(edited.key()).containsExactly(0, 1);
        Match without = (Match) Parts.edited(match, List.of(List.of("smoker", "veil"), List.of("covers")));
        assertThat(without.isKeyed()).as("a target of the key is gone").isFalse();
    }

    @Test
    void aFurtherStepWaitsForItsPlace() {
        Order order = new Order(ONE, proses("close", "open", "look"), List.of(1, 2, 0));
        Order renamed = (Order) Parts.edited(order, List.of(List.of("close it", "open", "look")));
        assertThat(renamed.key()).containsExactly(1, 2, 0);
        Order longer = (Order) Parts.edited(order, List.of(List.of("close", "open", "look", "wait")));
        assertThat(longer.isKeyed()).isFalse();
        assertThat(longer.items()).hasSize(4);
    }

    @Test
    void statementsAndColumnsKeepTheirTicks() {
        Grid grid = new Grid(
                ONE, proses("true", "false"), proses("Bees sting.", "Wasps buzz."), List.of(Set.of(0), Set.of(1)));
        Grid edited =
                (Grid) Parts.edited(grid, List.of(List.of("Wasps buzz.", "Bees sting."), List.of("right", "wrong")));
        assertThat(edited.columns()).extracting(Prose::plain).containsExactly("right", "wrong");
        assertThat(edited.key()).containsExactly(Set.of(1), Set.of(0));
    }

    @Test
    void aWordOfTheBankIsRenamedInTheKeyToo() {
        Particulars gapped = ONE.withStem(Prose.written("Bees build [[1]]."));
        GapMatch gaps = new GapMatch(gapped, List.of("combs", "wax"), List.of("combs"));
        GapMatch edited = (GapMatch) Parts.edited(gaps, List.of(List.of("comb", "wax")));
        assertThat(edited.key()).containsExactly("comb");
    }

    @Test
    void placesOfAPictureKeepTheirNames() {
        PictureLabel label = new PictureLabel(
                ONE, List.of("A", "B"), List.of(), List.of(List.of("roof"), List.of("floor", "bottom")));
        PictureLabel edited = (PictureLabel) Parts.edited(label, List.of(List.of("B", "C"), List.of()));
        assertThat(edited.gaps().get(0)).containsExactly("floor", "bottom");
    }

    @Test
    void theGapsOfATableAreCountedAnewWithTheirAnswers() {
        TableEntry table = new TableEntry(
                ONE,
                List.of(proses("Tool", "Use"), List.of(Prose.of("saw"), Prose.written("[[1]]"))),
                List.of(List.of("cutting")));
        String row = "plane | [[2]]";
        TableEntry edited = (TableEntry) Parts.edited(table, List.of(List.of("Tool | Use", row, "saw | [[1]]")));
        assertThat(edited.rows()).hasSize(3);
        assertThat(edited.gaps()).containsExactly(List.of(), List.of("cutting"));
        assertThat(Parts.of(edited).get(0).lines()).containsExactly("Tool | Use", "plane | [[1]]", "saw | [[2]]");
    }

    @Test
    void partsThatMakeNoQuestionChangeNothing() {
        Question order = new Order(ONE, proses("close", "open", "look"), List.of(1, 2, 0));
        assertThat(Parts.edited(order, List.of(List.of()))).isEqualTo(order);
        assertThat(Parts.edited(order, List.of(List.of("a"), List.of("b")))).isEqualTo(order);
    }

    @Test
    void picturesStayWithTheirLines() {
        Prose comb = new Prose(List.of(new Inline.Picture("f1", "")));
        Prose veil = new Prose(List.of(new Inline.Text("worn ", Set.of()), new Inline.Picture("f2", "a veil")));
        Match match = new Match(ONE, proses("wax", "head"), List.of(comb, veil), List.of(0, 1));
        List<String> targets = Parts.of(match).get(1).lines();
        assertThat(targets).containsExactly("[picture 1]", "worn [picture 2]");
        Match edited = (Match) Parts.edited(
                match, List.of(List.of("wax", "the head"), List.of("worn by keepers [picture 2]", "[picture 1]")));
        assertThat(edited.targets()).extracting(Prose::pictures).containsExactly(veil.pictures(), comb.pictures());
        assertThat(edited.targets().get(0).plain()).startsWith("worn by keepers");
    }
}
