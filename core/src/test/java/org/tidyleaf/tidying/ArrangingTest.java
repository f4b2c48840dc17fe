package org.tidyleaf.tidying;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.source.Source;

/** Decisions about whole questions and about many at once. */
class ArrangingTest {

    private static final String TEST = """
            Bee test
            Part A: Bees
            Circle the best answer.
            1. Underline the bee that dances.
            A. workers *
            B. drones
            C. all of the above
            2. Who stings?
            A. workers *
            B. drones
            Score: ___ / 8
            """;

    private static Source source() {
        try {
            return new Intake().read("bees.txt", TEST.getBytes(StandardCharsets.UTF_8));
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private static Tidied after(Decision... decisions) {
        return Tidying.apply(source(), new Decisions(List.of(decisions)));
    }

    private static List<String> stems(Tidied tidied) {
        return tidied.quiz().questions().stream()
                .map(question -> question.particulars().stem().plain())
                .toList();
    }

    private static ChoiceQuestion choice(Tidied tidied, int place) {
        return (ChoiceQuestion) tidied.quiz().questions().get(place);
    }

    private static List<String> options(ChoiceQuestion choice) {
        return choice.options().stream()
                .map(option -> option.label() + " " + option.text().plain())
                .toList();
    }

    private static String id(int place) {
        return after().quiz().questions().get(place).id();
    }

    @Test
    void aQuestionIsAddedCopiedMovedAndJoined() {
        String first = id(0);
        Tidied added =
                after(new Decision.Add("n1", first, QuestionType.SINGLE_CHOICE), new Decision.EditStem("n1", "New?"));
        assertThat(stems(added)).containsExactly("Underline the bee that dances.", "New?", "Who stings?");
        assertThat(added.blocking()).extracting(Tidied.OpenSnag::question).containsExactly("n1");
        assertThat(stems(after(new Decision.Duplicate(first, "n1")))).hasSize(3);
        assertThat(stems(after(new Decision.Move(first, 1))))
                .containsExactly("Who stings?", "Underline the bee that dances.");
        assertThat(stems(after(new Decision.Move(first, -1)))).first().isEqualTo("Underline the bee that dances.");
        Tidied joined = after(new Decision.Merge(id(1)));
        assertThat(stems(joined)).containsExactly("Underline the bee that dances. Who stings?");
        assertThat(choice(joined, 0).options()).hasSize(5);
    }

    @Test
    void rearrangedOptionsTakeTheirKeyWithThem() {
        var kept = List.of(
                new Decision.SetOptions.Kept(1, "drones"),
                new Decision.SetOptions.Kept(0, "workers"),
                new Decision.SetOptions.Kept(-1, "queens"));
        ChoiceQuestion choice = choice(after(new Decision.SetOptions(id(0), kept)), 0);
        assertThat(options(choice)).containsExactly("A drones", "B workers", "C queens");
        assertThat(choice.key()).containsExactly(1);
    }

    @Test
    void goingBackKeepsTheFirstDecisionsAndCanItselfBeRedone() {
        Decision one = new Decision.Rename("One");
        Decision two = new Decision.Rename("Two");
        Decision three = new Decision.Rename("Three");
        assertThat(after(one, two, three, new Decision.BackTo(1)).quiz().title())
                .isEqualTo("One");
        assertThat(after(one, two, three, new Decision.BackTo(0)).quiz().title())
                .isEqualTo("Bee test");
        assertThat(after(one, two, three, new Decision.BackTo(1), new Decision.Redo())
                        .quiz()
                        .title())
                .isEqualTo("Two");
    }

    @Test
    void aTotalIsSharedOutExactly() {
        List<BigDecimal> shares = Spreading.shares(new BigDecimal(20), 8, BigDecimal.ONE);
        assertThat(shares).hasSize(8).containsOnly(new BigDecimal(2), new BigDecimal(3));
        assertThat(shares.stream().reduce(BigDecimal.ZERO, BigDecimal::add)).isEqualByComparingTo("20");
        assertThat(Spreading.shares(new BigDecimal("2.5"), 2, new BigDecimal("0.5")))
                .containsExactly(new BigDecimal("1.0"), new BigDecimal("1.5"));
        assertThat(Spreading.shares(new BigDecimal(3), 8, BigDecimal.ONE)).isEmpty();
    }

    @Test
    void replacingShowsItsHitsAndLeavesLettersAlone() {
        Quiz quiz = after().quiz();
        List<Replacing.Hit> hits = Replacing.find(quiz, "drones", "drone bees", false, true);
        assertThat(hits).hasSize(2).allMatch(hit -> hit.option() == 1);
        assertThat(Replacing.find(quiz, "a", "x", false, true)).isEmpty();
        assertThat(Replacing.find(quiz, "drone", "x", false, true)).isEmpty();
        assertThat(options(choice(after(Replacing.decision(hits)), 1))).contains("B drone bees");
    }

    @Test
    void snagsOfferTheirRepairs() {
        Tidied tidied = after();
        Tidied mended = tidied;
        for (String kind : List.of("paper-wording", "points-total")) {
            List<Tidied.OpenSnag> snags = tidied.snags().stream()
                    .filter(snag -> snag.kind().equals(kind))
                    .toList();
            assertThat(snags)
                    .as(kind)
                    .isNotEmpty()
                    .allMatch(snag -> !snag.repairs().isEmpty());
            mended = after(
                    snags.stream().map(snag -> snag.repairs().get(0).decision()).toArray(Decision[]::new));
            assertThat(mended.snags()).extracting(Tidied.OpenSnag::kind).doesNotContain(kind);
        }
        assertThat(mended.quiz().questions())
                .extracting(question -> question.particulars().points().orElseThrow())
                .allMatch(points -> points.compareTo(new BigDecimal(4)) == 0);
    }

    @Test
    void theScreensWordTakesThePlaceOfThePapers() {
        List<Tidied.OpenSnag> snags = after().snags().stream()
                .filter(snag -> snag.kind().equals("paper-wording"))
                .toList();
        Tidied mended = after(
                snags.stream().map(snag -> snag.repairs().get(0).decision()).toArray(Decision[]::new));
        assertThat(stems(mended)).first().isEqualTo("Choose the bee that dances.");
        assertThat(mended.quiz().sections().get(0).instructions().plain()).isEqualTo("Choose the best answer.");
    }

    /** Guideline "avoid all-of-the-above": Haladyna, Downing and Rodriguez (2002), as {@link Advice} says. */
    @Test
    void adviceIsQuietAndNamesWhatItMeans() {
        assertThat(Advice.of(choice(after(), 0))).anyMatch(words -> words.contains("all of the above"));
        assertThat(Advice.of(choice(after(), 1))).isEmpty();
        Question negative = after(new Decision.EditStem(id(1), "Which bee does not sting?"))
                .quiz()
                .questions()
                .get(1);
        assertThat(Advice.of(negative)).anyMatch(words -> words.contains("not"));
        assertThat(Advice.of(after().quiz())).isEqualTo(Optional.empty());
    }

    @Test
    void everyDecisionIsReadBackAsItWasStored() {
        List<Decision> decisions = List.of(
                new Decision.Add("n1", "", QuestionType.MATCH),
                new Decision.SetOptions("q1", List.of(new Decision.SetOptions.Kept(-1, "x"))),
                new Decision.EditSection(0, "A", "b"),
                new Decision.EditPassage(1, "c"),
                new Decision.BackTo(3),
                new Decision.Several(List.of(new Decision.SetKey("q1", Set.of(1)))));
        for (Decision decision : decisions) {
            assertThat(StoredJson.read(StoredJson.write(decision), Decision.class))
                    .isEqualTo(decision);
        }
    }
}
