package org.tidyleaf.tidying;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

class TidyingTest {

    private static final String TEST =
            "1. Who dances?\nA. workers\nB. drones\n2. Who stings?\nA. workers *\nB. drones\n";

    private static Source source() {
        return source(TEST);
    }

    private static Source source(String test) {
        try {
            return new Intake().read("bees.txt", test.getBytes(StandardCharsets.UTF_8));
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private static Tidied after(Decision... decisions) {
        return Tidying.apply(source(), new Decisions(List.of(decisions)));
    }

    private static Question first(Tidied tidied) {
        return tidied.quiz().questions().get(0);
    }

    @Test
    void aMissingKeyBlocksUntilItIsSet() {
        assertThat(after().blocking()).hasSize(1);
        Tidied keyed = after(new Decision.SetKey("q1", Set.of(1)));
        assertThat(keyed.blocking()).isEmpty();
        assertThat(((ChoiceQuestion) first(keyed)).key()).containsExactly(1);
    }

    @Test
    void undoTakesBackOneAndRedoBringsItBackUntilSomethingNewIsDecided() {
        Decision two = new Decision.SetAllPoints(new BigDecimal(2));
        Decision three = new Decision.SetAllPoints(new BigDecimal(3));
        assertThat(points(after(two, three, new Decision.Undo()))).isEqualByComparingTo("2");
        assertThat(points(after(two, three, new Decision.Undo(), new Decision.Redo())))
                .isEqualByComparingTo("3");
        assertThat(points(after(two, new Decision.Undo(), three, new Decision.Redo())))
                .isEqualByComparingTo("3");
        assertThat(after(new Decision.Undo(), new Decision.Redo()).quiz().questions())
                .hasSize(2);
    }

    private static BigDecimal points(Tidied tidied) {
        return first(tidied).particulars().points().orElseThrow();
    }

    @Test
    void editsStayWithTheirQuestionWhenAPinChangesTheReading() {
        Decision edit = new Decision.EditStem("q4", "Which of them sting?");
        Tidied tidied = after(edit, new Decision.PinLines(List.of(1, 2, 3), Role.ASIDE, false));
        assertThat(tidied.quiz().questions()).hasSize(1);
        assertThat(first(tidied).particulars().stem().plain()).isEqualTo("Which of them sting?");
    }

    @Test
    void linesDrawnOverAtOnceRunOnUnlessTheyBeginAnew() {
        Source source = source("Swarms leave in May.\nThe old queen goes with them.\nWho stays\nin the hive?\n"
                + "the young queen\nthe drones\n1. Who dances?\n2. Who stings?\n");
        Tidied tidied = Tidying.apply(
                source,
                new Decisions(List.of(
                        new Decision.PinLines(List.of(1, 2), Role.STIMULUS, false),
                        new Decision.PinLines(List.of(3, 4), Role.STEM, false),
                        new Decision.PinLines(List.of(5, 6), Role.OPTION, false),
                        new Decision.PinLines(List.of(7, 8), Role.STEM, false))));
        assertThat(tidied.quiz().stimuli()).hasSize(1);
        assertThat(tidied.quiz().stimuli().get(0).text().plain())
                .isEqualTo("Swarms leave in May. The old queen goes with them.");
        assertThat(tidied.quiz().questions())
                .extracting(question -> question.particulars().stem().plain())
                .containsExactly("Who stays in the hive?", "Who dances?", "Who stings?");
        assertThat(((ChoiceQuestion) first(tidied)).options()).hasSize(2);
    }

    @Test
    void anEditOfAQuestionThatIsGoneRestsUntilItIsBack() {
        Decision edit = new Decision.EditStem("q1", "Which bees dance?");
        Decision pin = new Decision.PinLines(List.of(1), Role.ASIDE, false);
        assertThat(after(edit, pin).question("q1")).isEmpty();
        assertThat(first(after(edit, pin, new Decision.Undo()))
                        .particulars()
                        .stem()
                        .plain())
                .isEqualTo("Which bees dance?");
    }

    @Test
    void aChangeOfTypeKeepsWhatTheNewTypeCanHold() {
        Tidied several = after(
                new Decision.SetKey("q1", Set.of(0)), new Decision.ChangeType("q1", QuestionType.MULTIPLE_CHOICE));
        assertThat(((ChoiceQuestion) first(several)).key()).containsExactly(0);
        Tidied typed =
                after(new Decision.SetKey("q1", Set.of(0)), new Decision.ChangeType("q1", QuestionType.TEXT_ENTRY));
        assertThat(first(typed).isKeyed()).isTrue();
    }

    @Test
    void decisionsForOthersPlacesChangeNothing() {
        Quiz before = after().quiz();
        assertThat(after(
                                new Decision.SetKey("q1", Set.of(9)),
                                new Decision.EditOption("q1", 7, "x"),
                                new Decision.Delete("q99"))
                        .quiz())
                .isEqualTo(before);
    }

    @Test
    void everyDecisionIsStoredAndReadBackEqual() {
        List<Decision> all = new ArrayList<>(List.of(
                new Decision.PinLines(List.of(1, 2), Role.KEY, false),
                new Decision.PinWords(new Segment(1, 3, 9), Role.HINT),
                new Decision.EditStem("q1", "x"),
                new Decision.EditOption("q1", 0, "y"),
                new Decision.SetKey("q1", Set.of(1)),
                new Decision.SetAnswer("q1", "a / b"),
                new Decision.ChangeType("q1", QuestionType.TEXT_ENTRY),
                new Decision.SetPoints("q1", new BigDecimal("1.5")),
                new Decision.Delete("q1"),
                new Decision.Rename("t"),
                new Decision.Dismiss("option-gap", 4, ""),
                new Decision.Undo(),
                new Decision.Redo()));
        all.add(new Decision.Several(List.copyOf(all)));
        assertThat(all)
                .allSatisfy(decision -> assertThat(StoredJson.read(StoredJson.write(decision), Decision.class))
                        .isEqualTo(decision));
    }

    @Test
    void sourceAndQuizAreStoredAndReadBackEqual() {
        Source source = source();
        assertThat(StoredJson.read(StoredJson.write(source), Source.class)).isEqualTo(source);
        Quiz quiz = after(new Decision.SetAllPoints(new BigDecimal("2.50"))).quiz();
        assertThat(StoredJson.read(StoredJson.write(quiz), Quiz.class)).isEqualTo(quiz);
    }

    @Test
    void keysOfSeveralPartsAreTypedInWordsOrLetters() {
        String test =
                "1. Match each bee with its work.\nqueen\tlays eggs\ndrone\tmates\n2. Put these steps into the right order.\nA. close\nB. open\nC. look\n";
        Source source = source(test);
        Tidied words = Tidying.apply(
                source,
                new Decisions(List.of(
                        new Decision.SetAnswer("q1", "queen = lays eggs\ndrone = mates"),
                        new Decision.SetAnswer("q4", "b c a"))));
        assertThat(((Match) words.quiz().questions().get(0)).key()).containsExactly(0, 1);
        assertThat(((Order) words.quiz().questions().get(1)).key()).containsExactly(1, 2, 0);
        Tidied letters = Tidying.apply(
                source,
                new Decisions(List.of(
                        new Decision.SetAnswer("q1", "1-b 2-a"), new Decision.SetAnswer("q4", "open\nlook\nclose"))));
        assertThat(((Match) letters.quiz().questions().get(0)).key()).containsExactly(1, 0);
        assertThat(((Order) letters.quiz().questions().get(1)).key()).containsExactly(1, 2, 0);
        assertThat(letters.blocking()).isEmpty();
    }

    @Test
    void aWholeKeyIsTypedAsOneLine() {
        String test =
                "1. Who dances?\nA. workers\nB. drones\n2. Who stings?\nA. workers\nB. drones\n3. Drones sting. True / False\n4. Why?\n";
        Tidied open = Tidying.apply(source(test), new Decisions(List.of()));
        Tidied set = Tidying.apply(source(test), new Decisions(KeyLine.decisions("ABF", open.quiz())));
        assertThat(keys(set)).containsExactly(Set.of(0), Set.of(1), Set.of(1));
        Tidied numbered = Tidying.apply(source(test), new Decisions(KeyLine.decisions("1b, 3t", open.quiz())));
        assertThat(keys(numbered)).containsExactly(Set.of(1), Set.of(), Set.of(0));
        assertThat(KeyLine.decisions("1x 9a", open.quiz())).isEmpty();
    }

    private static List<Set<Integer>> keys(Tidied tidied) {
        return tidied.quiz().questions().stream()
                .filter(ChoiceQuestion.class::isInstance)
                .map(question -> ((ChoiceQuestion) question).key())
                .toList();
    }
}
