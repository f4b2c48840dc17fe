package org.tidyleaf.marking;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.AnswerText;

class MarkerTest {

    private static Particulars worth(String points) {
        return new Particulars(
                "q1", "1", Prose.of("?"), Optional.of(new BigDecimal(points)), -1, -1, Prose.EMPTY, Prose.EMPTY);
    }

    private static List<Option> options(int count) {
        return java.util.stream.IntStream.range(0, count)
                .mapToObj(i -> new Option("", Prose.of("option " + i), Prose.EMPTY))
                .toList();
    }

    private static Response chosen(Integer... places) {
        return new Response(Set.of(places), List.of());
    }

    private static Response entered(String... texts) {
        return new Response(Set.of(), List.of(texts));
    }

    private static BigDecimal earned(Question question, Response response) {
        return Marker.mark(question, response).earned().orElseThrow();
    }

    /** The QTI standard's response processing template match_correct: the whole response equals the correct one, or nothing. */
    @Test
    void choicesEarnAllOrNothing() {
        Question several = new MultipleChoice(worth("3"), options(4), Set.of(0, 2));
        assertThat(earned(several, chosen(0, 2))).isEqualByComparingTo("3");
        assertThat(earned(several, chosen(0))).isEqualByComparingTo("0");
        assertThat(earned(several, chosen(0, 1, 2))).isEqualByComparingTo("0");
    }

    /** Common practice, no source: a tolerance in percent is a share of the right value, ends included. */
    @Test
    void aToleranceInPercentIsAShareOfTheValue() {
        Question share = new NumericEntry(worth("1"), AnswerText.number("250 mm (\u00b1 2 %)"));
        assertThat(earned(share, entered("255"))).isEqualByComparingTo("1");
        assertThat(earned(share, entered("245 mm"))).isEqualByComparingTo("1");
        assertThat(earned(share, entered("255.1"))).isEqualByComparingTo("0");
        Question percent = new NumericEntry(worth("1"), AnswerText.number("50 % \u00b1 2 %"));
        assertThat(earned(percent, entered("52"))).isEqualByComparingTo("1");
        assertThat(earned(percent, entered("52,5"))).isEqualByComparingTo("0");
    }

    /** Common practice, no source: blind guessing among k options earns 1/k on average. */
    @Test
    void blindGuessingAmongThreeEarnsAThird() {
        Question question = new SingleChoice(worth("1"), options(3), Set.of(1));
        Random random = new Random(7);
        int right = 0;
        for (int i = 0; i < 10_000; i++) {
            right += earned(question, chosen(random.nextInt(3))).intValueExact();
        }
        // Three standard errors of a share of 1/3 in 10,000 are 0.0141.
        assertThat(right / 10_000.0).isBetween(1 / 3.0 - 0.0141, 1 / 3.0 + 0.0141);
    }

    @Test
    void anyAcceptedSpellingEarnsTheGapWhateverItsCaseAndOuterSpaces() {
        Question gaps = new TextEntry(worth("2"), List.of(List.of("second", "2nd", "2"), List.of("honey bee")));
        assertThat(earned(gaps, entered(" SECOND ", "Honey  bee"))).isEqualByComparingTo("2");
        assertThat(earned(gaps, entered("2nd", "wasp"))).isEqualByComparingTo("1");
        assertThat(earned(gaps, entered("", "wasp"))).isEqualByComparingTo("0");
        assertThat(earned(gaps, entered("2"))).isEqualByComparingTo("1");
    }

    @Test
    void sharesOfThirdsAreKeptToTheHundredthAndAllRightIsExact() {
        Question gaps = new TextEntry(worth("1"), List.of(List.of("a"), List.of("b"), List.of("c")));
        assertThat(earned(gaps, entered("a", "x", "x"))).isEqualByComparingTo("0.33");
        assertThat(earned(gaps, entered("a", "b", "c"))).isEqualByComparingTo("1");
    }

    /** Common practice: a number counts within its tolerance, ends included; decimal comma or point; unit or none. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3.2|1",
                "3,2|1",
                "3.3 mm|1",
                "3.1|1",
                "3.30001|0",
                "3.2 cm|0",
                "\u22123.2|0",
                "three|0",
                "3.2mm|1",
                "1e9|0"
            })
    void numbersCountWithinTheirToleranceEndsIncluded(String entry, String points) {
        Question number = new NumericEntry(
                worth("1"),
                Optional.of(new NumericEntry.Key(new BigDecimal("3.2"), Optional.of(new BigDecimal("0.1")), "mm")));
        assertThat(earned(number, entered(entry))).isEqualByComparingTo(points);
    }

    @Test
    void anEssayWaitsForAPersonUnlessItIsEmpty() {
        Question essay = new ExtendedText(worth("4"), Prose.EMPTY);
        assertThat(Marker.mark(essay, entered("Because.")).waits()).isTrue();
        assertThat(earned(essay, entered("  "))).isEqualByComparingTo("0");
    }

    /** Common practice: ten questions at two points make a 20-point test. */
    @Test
    void tenAtTwoMakeTwenty() {
        Question question = new SingleChoice(worth("2"), options(2), Set.of(0));
        BigDecimal sum = BigDecimal.ZERO;
        for (int i = 0; i < 10; i++) {
            sum = sum.add(earned(question, chosen(0)));
        }
        assertThat(sum).isEqualByComparingTo("20");
    }

    private static List<Prose> proses(String... texts) {
        return List.of(texts).stream().map(Prose::of).toList();
    }

    /** The QTI standard's map_response: each right pair, place or row adds its mapped share. */
    @Test
    void pairsPlacesAndRowsEarnTheirShares() {
        Question match =
                new Match(worth("4"), proses("queen", "drone"), proses("mates", "lays", "dances"), List.of(1, 0));
        assertThat(earned(match, entered("1", "0"))).isEqualByComparingTo("4");
        assertThat(earned(match, entered("1", "2"))).isEqualByComparingTo("2");
        assertThat(earned(match, entered("", "1"))).isEqualByComparingTo("0");
        Question order = new Order(worth("3"), proses("close", "open", "look"), List.of(1, 2, 0));
        assertThat(earned(order, entered("2", "0", "1"))).isEqualByComparingTo("3");
        assertThat(earned(order, entered("0", "1", "2"))).isEqualByComparingTo("0");
        Question grid = new Grid(worth("2"), proses("True", "False"), proses("a", "b"), List.of(Set.of(0), Set.of(1)));
        assertThat(earned(grid, entered("0", "0"))).isEqualByComparingTo("1");
        Question bank = new GapMatch(worth("2"), List.of("veil", "smoke", "wax"), List.of("veil", "smoke"));
        assertThat(earned(bank, entered("veil", "wax"))).isEqualByComparingTo("1");
    }

    @Test
    void aQuestionWithoutItsKeyEarnsNothingYet() {
        Question match = new Match(worth("4"), proses("queen"), proses("mates"), List.of());
        assertThat(match.isKeyed()).isFalse();
        assertThat(earned(match, entered("0"))).isEqualByComparingTo("0");
    }

    @Test
    void aMarkSaysHowFarTheAnswerWasRight() {
        Question gaps = new TextEntry(worth("2"), List.of(List.of("a"), List.of("b")));
        assertThat(Marker.mark(gaps, entered("a", "b")).verdict()).isEqualTo("full");
        assertThat(Marker.mark(gaps, entered("a", "x")).verdict()).isEqualTo("part");
        assertThat(Marker.mark(gaps, entered("x", "x")).verdict()).isEqualTo("none");
        assertThat(Marker.mark(new ExtendedText(worth("1"), Prose.EMPTY), entered("so"))
                        .verdict())
                .isEqualTo("waits");
    }

    /** A word too many takes back what a right one earned, as the standard's mapping with a lower bound of 0 does. */
    @Test
    void markedWordsEarnTheirShareAndWrongOnesTakeItBack() {
        Particulars asked = worth("4").withStem(Prose.written("Mark the tools.\nShe took the try square and a saw."));
        Hottext text = new Hottext(asked, List.of("try square", "saw"));
        assertThat(text.words()).hasSize(8);
        assertThat(text.spanWords()).containsExactly(Set.of(3, 4), Set.of(7));
        assertThat(earned(text, chosen(3, 4, 7))).isEqualByComparingTo("4");
        assertThat(earned(text, chosen(3, 4))).isEqualByComparingTo("2");
        assertThat(earned(text, chosen(3, 7))).isEqualByComparingTo("2");
        assertThat(earned(text, chosen(3, 4, 7, 0))).isEqualByComparingTo("2");
        assertThat(earned(text, chosen(0, 1))).isEqualByComparingTo("0");
    }

    @Test
    void cellsAndPlacesEarnTheirShare() {
        List<List<Prose>> rows = List.of(
                List.of(Prose.of("mm"), Prose.of("cm")),
                List.of(Prose.of("18"), Prose.written("[[1]]")),
                List.of(Prose.written("[[2]]"), Prose.of("24")));
        Question table = new TableEntry(worth("2"), rows, List.of(List.of("1.8"), List.of("240")));
        assertThat(earned(table, entered("1.8", "24"))).isEqualByComparingTo("1");
        Question picture = new PictureLabel(
                worth("3"),
                List.of("A", "B", "C"),
                List.of(),
                List.of(List.of("roof"), List.of("super", "honey box"), List.of("floor")));
        assertThat(earned(picture, entered("Roof", "honey  box", "door"))).isEqualByComparingTo("2");
    }

    @Test
    void aPersonsMarkStandsAboveTheOthersWithinWhatCanBeEarned() {
        Question gap = new TextEntry(worth("2"), List.of(List.of("a")));
        HandMark hand = new HandMark(new java.math.BigDecimal("1.5"), "nearly");
        assertThat(Marker.mark(gap, entered("x"), java.util.Optional.of(hand)).earned())
                .contains(new java.math.BigDecimal("1.5"));
        HandMark much = new HandMark(new java.math.BigDecimal("9"), "");
        assertThat(Marker.mark(gap, entered("x"), java.util.Optional.of(much)).isFull())
                .isTrue();
    }

    private static String earned(Question question, Response response, MarkRules rules) {
        return Marker.mark(question, response, rules).earned().orElseThrow().toPlainString();
    }

    private static MarkRules parts(PartialMarks parts) {
        return new MarkRules(parts, false, true, false);
    }

    /** QTI 3.0, response processing: match_correct, and map_response with a lower bound of 0, positive entries alone or with negative ones. */
    @Test
    void severalRightOptionsEarnByTheChosenRule() {
        MultipleChoice two = new MultipleChoice(worth("3"), options(4), Set.of(0, 2));
        Response half = new Response(Set.of(0), List.of());
        Response mixed = new Response(Set.of(0, 1), List.of());
        Response all = new Response(Set.of(0, 1, 2, 3), List.of());
        assertThat(earned(two, half, parts(PartialMarks.WHOLE))).isEqualTo("0");
        assertThat(earned(two, half, parts(PartialMarks.EACH_RIGHT))).isEqualTo("1.5");
        assertThat(earned(two, mixed, parts(PartialMarks.EACH_RIGHT))).isEqualTo("1.5");
        assertThat(earned(two, mixed, parts(PartialMarks.LESS_WRONG))).isEqualTo("0");
        assertThat(earned(two, all, parts(PartialMarks.LESS_WRONG))).isEqualTo("0");
        assertThat(earned(two, new Response(Set.of(0, 2), List.of()), parts(PartialMarks.LESS_WRONG)))
                .isEqualTo("3");
    }

    @Test
    void partsAreCountedByTheChosenRule() {
        TextEntry gaps = new TextEntry(worth("4"), List.of(List.of("a"), List.of("b"), List.of("c"), List.of("d")));
        Response threeOfFour = entered("a", "b", "c", "x");
        Response oneEmpty = entered("a", "b", "c", "");
        assertThat(earned(gaps, threeOfFour, parts(PartialMarks.USUAL))).isEqualTo("3");
        assertThat(earned(gaps, threeOfFour, parts(PartialMarks.WHOLE))).isEqualTo("0");
        assertThat(earned(gaps, threeOfFour, parts(PartialMarks.LESS_WRONG))).isEqualTo("2");
        assertThat(earned(gaps, oneEmpty, parts(PartialMarks.LESS_WRONG))).isEqualTo("3");
    }

    /** A, C, D, B for A, B, C, D: no place but the first is right, yet C still stands before D. */
    @Test
    void anOrderMayEarnByRightNeighbours() {
        Order order = new Order(
                worth("3"), List.of(Prose.of("a"), Prose.of("b"), Prose.of("c"), Prose.of("d")), List.of(0, 1, 2, 3));
        Response moved = entered("0", "3", "1", "2");
        assertThat(earned(order, moved, MarkRules.USUAL)).isEqualTo("0.75");
        assertThat(earned(order, moved, new MarkRules(PartialMarks.USUAL, true, true, false)))
                .isEqualTo("1");
        assertThat(earned(order, entered("0", "1", "2", "3"), new MarkRules(PartialMarks.USUAL, true, true, false)))
                .isEqualTo("3");
        Settings own = Settings.NONE.withPartial(Optional.of(PartialMarks.NEIGHBOURS));
        Question byItself = order.withParticulars(order.particulars().withSettings(own));
        assertThat(earned(byItself, moved, MarkRules.USUAL)).isEqualTo("1");
        Settings places = Settings.NONE.withPartial(Optional.of(PartialMarks.EACH_RIGHT));
        Question otherwise = order.withParticulars(order.particulars().withSettings(places));
        assertThat(earned(otherwise, moved, new MarkRules(PartialMarks.USUAL, true, true, false)))
                .as("what the question says stands above the sitting's rule")
                .isEqualTo("0.75");
    }

    /** Common practice: one letter wrong, missing, added or swapped is a slip; in a short word it is another word. */
    @Test
    void spellingIsAsStrictAsTheRulesSay() {
        TextEntry gap = new TextEntry(worth("1"), List.of(List.of("propolis", "résine")));
        MarkRules slips = new MarkRules(PartialMarks.USUAL, false, true, true);
        MarkRules noAccents = new MarkRules(PartialMarks.USUAL, false, false, false);
        for (String slip : List.of("propolys", "propoli", "propoliss", "porpolis", "  Propolis ")) {
            assertThat(earned(gap, entered(slip), slips)).as(slip).isEqualTo("1");
        }
        assertThat(earned(gap, entered("propolys"), MarkRules.USUAL)).isEqualTo("0");
        assertThat(earned(gap, entered("prapolys"), slips)).isEqualTo("0");
        assertThat(earned(gap, entered("resine"), MarkRules.USUAL)).isEqualTo("0");
        assertThat(earned(gap, entered("resine"), noAccents)).isEqualTo("1");
        TextEntry small = new TextEntry(worth("1"), List.of(List.of("wax")));
        assertThat(earned(small, entered("wag"), slips)).isEqualTo("0");
    }
}
