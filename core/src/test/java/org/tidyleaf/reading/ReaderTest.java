package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.tidyleaf.reading.Typed.choice;
import static org.tidyleaf.reading.Typed.options;
import static org.tidyleaf.reading.Typed.read;
import static org.tidyleaf.reading.Typed.role;
import static org.tidyleaf.reading.Typed.stems;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.source.Segment;

/** Habits of typed tests, one each; what is typed is seen in the test. */
class ReaderTest {

    @Test
    void aStarBeforeOrBehindAnOptionIsItsKey() {
        Reading reading = read("""
                1. Which bee lays the eggs?
                *A. the queen
                B. a worker
                2. Which bee has no sting?
                A. the queen
                B. the drone *
                """);
        assertThat(choice(reading, 0).key()).containsExactly(0);
        assertThat(options(reading.questions().get(0).question())).containsExactly("the queen", "a worker");
        assertThat(choice(reading, 1).key()).containsExactly(1);
        assertThat(options(reading.questions().get(1).question())).containsExactly("the queen", "the drone");
        assertThat(reading.questions().get(1).keySource()).isEqualTo(KeySource.MARK);
    }

    @Test
    void aCapitalInsideASentenceIsNoOptionLabel() {
        Reading reading = read("""
                1. Which of these did he plant in garden D. last spring?
                A. the vitamin C. rich berries
                B. plan B. as always
                Answer: B
                """);
        assertThat(stems(reading)).containsExactly("Which of these did he plant in garden D. last spring?");
        assertThat(options(reading.questions().get(0).question()))
                .containsExactly("the vitamin C. rich berries", "plan B. as always");
        assertThat(choice(reading, 0).key()).containsExactly(1);
    }

    @Test
    void aListInsideAStemIsNotTakenForQuestions() {
        Reading reading = read("""
                1. Why do bees dance?
                A. to tell the way
                B. to keep warm
                2. Three keepers say:
                1) Feed in autumn.
                2) Feed in spring.
                Who is right?
                A. the first
                B. the second
                3. Where is the smoke blown?
                A. at the entrance
                B. at the keeper
                """);
        assertThat(reading.questions()).hasSize(3);
        assertThat(stems(reading).get(1)).contains("Feed in autumn.").endsWith("Who is right?");
    }

    @Test
    void optionsStandSideBySide() {
        Reading reading = read("1. What is pollen for?  a) food for brood   b) wax   c) heat\nAnswer: a\n");
        assertThat(stems(reading)).containsExactly("What is pollen for?");
        assertThat(options(reading.questions().get(0).question())).containsExactly("food for brood", "wax", "heat");
    }

    @Test
    void wrappedLinesBelongToTheLineAbove() {
        Reading reading = read("""
                1. What does a keeper do first when the
                bees hang in a bunch below the entrance?
                A. wait until the evening and then look
                whether they have gone in
                B. feed
                """);
        assertThat(stems(reading))
                .containsExactly("What does a keeper do first when the bees hang in a bunch below the entrance?");
        assertThat(options(reading.questions().get(0).question()).get(0))
                .isEqualTo("wait until the evening and then look whether they have gone in");
    }

    @Test
    void answersToTypeKeepTheirSpellingsAndNumbersTheirTolerance() {
        Reading reading = read("""
                1. A queen that lays only ________ eggs was not mated.
                Answer: drone / unfertilised
                2. How long is the diagonal?
                Answer: 707 mm (\u00b1 2)
                3. Explain why you don't open a hive at 8 degrees.
                """);
        assertThat(((TextEntry) reading.questions().get(0).question()).gaps())
                .containsExactly(List.of("drone", "unfertilised"));
        assertThat(stems(reading).get(0)).isEqualTo("A queen that lays only [[1]] eggs was not mated.");
        NumericEntry.Key key =
                ((NumericEntry) reading.questions().get(1).question()).key().orElseThrow();
        assertThat(key.value()).isEqualByComparingTo("707");
        assertThat(key.tolerance().orElseThrow()).isEqualByComparingTo("2");
        assertThat(key.unit()).isEqualTo("mm");
        assertThat(reading.questions().get(2).question()).isInstanceOf(ExtendedText.class);
    }

    @Test
    void pointsOfASectionHoldUntilTheNextAndAreNotInItsTitle() {
        Reading reading = read("""
                Part A: Wax (2 points each)
                1. Who makes wax?
                A. workers
                B. drones
                2. What is it for? (3 points)
                A. comb
                B. food
                Part B: Honey
                3. Who eats it?
                A. all
                B. none
                """);
        assertThat(reading.sections())
                .extracting(section -> section.title())
                .containsExactly("Part A: Wax", "Part B: Honey");
        assertThat(reading.questions())
                .extracting(read -> read.question()
                        .particulars()
                        .points()
                        .map(BigDecimal::intValue)
                        .orElse(0))
                .containsExactly(2, 3, 0);
    }

    @Test
    void trueOrFalseIsToldFromItsAnswerOrItsWords() {
        Reading reading = read("""
                1. Drones collect pollen. True / False
                Answer: False
                2. Wax melts at 64 degrees.
                A. True
                B. False
                Answer: A
                """);
        assertThat(reading.questions()).allMatch(read -> read.question().type() == QuestionType.TRUE_FALSE);
        assertThat(choice(reading, 0).key()).containsExactly(1);
        assertThat(stems(reading).get(0)).isEqualTo("Drones collect pollen.");
        assertThat(choice(reading, 1).key()).containsExactly(0);
    }

    @Test
    void keysThatDisagreeAreReportedAndNotChosenBetween() {
        Reading reading =
                read("1. Who dances?\n*A. workers\nB. drones\nAnswer: B\n2. Who stings?\nA. workers *\nB. drones\n");
        assertThat(reading.snags()).extracting(Snag::kind).containsExactly("keys-disagree");
        assertThat(reading.questions().get(0).doubt()).isGreaterThanOrEqualTo(0.3);
    }

    @Test
    void missingKeysLettersAndNumbersAreSnags() {
        Reading reading = read("1. Why?\nA. so\nB. thus\nD. because *\n3. How?\nA. thus\nB. so\n");
        assertThat(reading.snags())
                .extracting(Snag::kind)
                .containsExactlyInAnyOrder("option-gap", "missing-key", "number-gap");
    }

    @Test
    void whatIsNoQuestionIsSetAsideWithItsReason() {
        Reading reading = read("Bee test\nName: ________  Date: ________\n1. Why?\nA. so *\nB. thus\n~~~\nTurn over\n");
        assertThat(reading.title()).isEqualTo("Bee test");
        assertThat(reading.ledger())
                .extracting(Entry::reason)
                .containsExactly("", "fill-in line", "", "", "", "ornament", "notice to the candidate");
    }

    @Test
    void questionsWithoutNumbersOrLettersAreToldByTheirSpacing() {
        Reading reading = read("""
                Check

                Which bee lays the eggs?
                the queen*
                a worker

                Where is honey stored?
                in the comb*
                in the ground
                """);
        assertThat(stems(reading)).containsExactly("Which bee lays the eggs?", "Where is honey stored?");
        assertThat(options(reading.questions().get(1).question())).containsExactly("in the comb", "in the ground");
    }

    @Test
    void onePinMendsAllLinesLikeIt() {
        String text = """
                1. Who dances?
                A. workers
                B. drones
                Proof-mark: a
                2. Who stings?
                A. drones
                B. workers
                Proof-mark: b
                3. Who lays?
                A. the queen
                B. drones
                Proof-mark: a
                """;
        assertThat(read(text).questions()).noneMatch(read -> read.question().isKeyed());
        Reading pinned = read(text, new Pins(Map.of(4, new Pins.Pin(Role.KEY, false))));
        assertThat(List.of(role(pinned, 4), role(pinned, 8), role(pinned, 12))).containsOnly(Role.KEY);
        assertThat(choice(pinned, 1).key()).isEqualTo(Set.of(1));
        assertThat(choice(pinned, 2).key()).isEqualTo(Set.of(0));
    }

    @Test
    void pinnedWordsHaveARoleOfTheirOwnAndTeachTheirAnnouncement() {
        String text = """
                1. Which bee lays the eggs of a hive? Prf.: b
                a) the drone
                b) the queen
                2. Which bee has no sting? Prf.: a
                a) the drone
                b) the worker
                """;
        assertThat(read(text).questions()).noneMatch(read -> read.question().isKeyed());
        Pins words = new Pins(Map.of(), Map.of(new Segment(1, 38, 45), Role.KEY));
        Reading pinned = read(text, words);
        assertThat(choice(pinned, 0).particulars().stem().plain()).isEqualTo("Which bee lays the eggs of a hive?");
        assertThat(choice(pinned, 0).key()).isEqualTo(Set.of(1));
        assertThat(choice(pinned, 1).particulars().stem().plain()).isEqualTo("Which bee has no sting?");
        assertThat(choice(pinned, 1).key()).isEqualTo(Set.of(0));
    }

    @Test
    void aQuestionCanBeginWithinALine() {
        String text = "1. How many legs has a bee? ____ How many wings has it? ____\n";
        Pins words = new Pins(Map.of(), Map.of(new Segment(1, 33, 60), Role.STEM));
        assertThat(read(text, words).questions())
                .extracting(read -> read.question().particulars().stem().plain())
                .containsExactly("How many legs has a bee?", "How many wings has it?");
    }

    @Test
    void pinsAreObeyedAgainstAllCues() {
        String text = "1. Who dances?\nA. workers *\nB. drones\n2. Who stings?\nA. workers *\nB. drones\n";
        Reading reading = read(text, new Pins(Map.of(4, new Pins.Pin(Role.ASIDE, false))));
        assertThat(role(reading, 4)).isEqualTo(Role.ASIDE);
        assertThat(read(text, new Pins(Map.of(3, new Pins.Pin(Role.STEM, true))))
                        .ledger()
                        .get(2)
                        .more())
                .isTrue();
    }

    @Test
    void otherLanguagesHaveTheirKeyWords() {
        Reading reading = read("""
                Teil A: Bienen (je 2 Punkte)
                1. Wer legt die Eier?
                a) die K\u00f6nigin
                b) die Drohne
                L\u00f6sung: a
                2. Drohnen sammeln Pollen. richtig / falsch
                L\u00f6sung: falsch
                """);
        assertThat(reading.sections().get(0).title()).isEqualTo("Teil A: Bienen");
        assertThat(choice(reading, 0).key()).containsExactly(0);
        assertThat(choice(reading, 1).key()).containsExactly(1);
        assertThat(reading.questions().get(0).question().particulars().points().orElseThrow())
                .isEqualByComparingTo("2");
    }

    @Test
    void aPrintedTotalThatDoesNotAddUpIsASnag() {
        String test =
                "Bee test\nName: ________  Score: ____ / 5\n1. Who dances? (2 points)\nA. workers *\nB. drones\n2. Who lays? (2 points)\nA. drones\nB. the queen *\n";
        assertThat(read(test).snags()).extracting(Snag::kind).containsExactly("points-total");
        assertThat(read(test.replace("/ 5", "/ 4")).snags()).isEmpty();
    }

    @Test
    void feedbackForRightAndWrongAnswersGoesToTheOptions() {
        Reading reading = read("""
                1. Which bee has no sting?
                A. the queen
                B. the drone
                Answer: B
                Feedback if correct: Drones can't sting.
                Feedback if incorrect: Queens and workers can.
                2. Name the young of bees.
                Answer: larva
                Feedback for correct answers: The plural is larvae.
                """);
        assertThat(feedback(reading, 0)).containsExactly("Queens and workers can.", "Drones can't sting.");
        assertThat(reading.questions()
                        .get(0)
                        .question()
                        .particulars()
                        .feedback()
                        .plain())
                .isEmpty();
        assertThat(reading.questions()
                        .get(1)
                        .question()
                        .particulars()
                        .feedback()
                        .plain())
                .isEqualTo("The plural is larvae.");
    }

    @Test
    void whatIsSaidOfSingleOptionsBelowTheAnswerIsTheirFeedback() {
        Reading reading = read("""
                1. Which of these is a hardwood?
                A. pine
                B. oak
                C. spruce
                Answer: B
                A is wrong because pines bear cones.
                Option C: incorrect, it has needles.
                2. Which is a softwood?
                A. larch
                B. beech
                C. ash
                Answer: A
                """);
        assertThat(feedback(reading, 0))
                .containsExactly("A is wrong because pines bear cones.", "", "Option C: incorrect, it has needles.");
        assertThat(options(reading.questions().get(1).question())).containsExactly("larch", "beech", "ash");
    }

    /**
     * Letters and numbers that are one sign with their circle, brackets or full stop: the block "Enclosed Alphanumerics" of the
     * Unicode Standard. What each holds is its compatibility decomposition by Unicode Standard Annex #15.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "\u2460\u2461\u2462",
                "\u2474\u2475\u2476",
                "\u2488\u2489\u248a",
                "\u249c\u249d\u249e",
                "\u24b6\u24b7\u24b8",
                "\u24d0\u24d1\u24d2"
            })
    void signsWithTheirCircleLetterOptionsAndNameThemInAKey(String signs) {
        Reading reading = read(
                "1. Who dances?\n%1$s drones\n%2$s workers\n%3$s queens\nAnswer: %2$s\n2. Who lays?\n%1$s drones\n%2$s workers\n%3$s queens\nAnswer: %3$s\n"
                        .formatted(signs.charAt(0), signs.charAt(1), signs.charAt(2)));
        assertThat(options(reading.questions().get(0).question())).containsExactly("drones", "workers", "queens");
        assertThat(choice(reading, 0).key()).containsExactly(1);
        assertThat(choice(reading, 1).key()).containsExactly(2);
        assertThat(reading.snags()).isEmpty();
    }

    @Test
    void zerosBeforeANumberSayNothingInATestOrItsKey() {
        String test =
                "%s1. Who dances?\nA. workers\nB. drones\n%s2. Who lays?\nA. drones\nB. queens\n%s3. Who guards?\nA. workers\nB. drones\n"
                        + "Answers\n%s1 A\n%s2 B\n%s3 A\n";
        for (List<String> zeros : List.of(List.of("00", ""), List.of("", "0"), List.of("0", "0"))) {
            String asked = zeros.get(0);
            String said = zeros.get(1);
            Reading reading = read(test.formatted(asked, asked, asked, said, said, said));
            assertThat(reading.questions()).hasSize(3);
            assertThat(choice(reading, 0).key()).containsExactly(0);
            assertThat(choice(reading, 1).key()).containsExactly(1);
            assertThat(choice(reading, 2).key()).containsExactly(0);
        }
    }

    @Test
    void fieldsBelowOptionsAreTheAuthorsAndThoseBelowAQuestionItsOwn() {
        Reading noted = read("""
                1. Who dances?
                A. workers *
                B. drones
                CO: 1
                2. Who lays?
                A. drones
                B. queens *
                CO: 2
                3. Who guards?
                A. workers *
                B. drones
                CO: 1
                """);
        assertThat(options(noted.questions().get(1).question())).containsExactly("drones", "queens");
        assertThat(noted.questions().get(1).question().particulars().settings().labels())
                .containsExactly("CO: 2");
        Reading given = read("""
                1. A board is cut in two.
                Given: length 5 m
                Find: each half
                2. A rope is cut in three.
                Given: length 9 m
                Find: each third
                3. A rod is cut in four.
                Given: length 8 m
                Find: each quarter
                """);
        assertThat(stems(given).get(1)).contains("length 9 m", "each third");
    }

    @Test
    void speakersWhoTakeTurnsOfferNothing() {
        Reading reading = read("""
                1. Complete the dialogue.
                A: Good morning. Can I help you?
                B: I'd ________ a jar of honey.
                A: That is ________ euros.
                B: Thank you.
                2. Who sells?
                A) A does
                B) B does
                Answer: A
                """);
        assertThat(reading.questions().get(0).question().type()).isEqualTo(QuestionType.TEXT_ENTRY);
        assertThat(reading.questions().get(0).question().particulars().stem().gapCount())
                .isEqualTo(2);
        assertThat(options(reading.questions().get(1).question())).containsExactly("A does", "B does");
    }

    private static List<String> feedback(Reading reading, int question) {
        return choice(reading, question).options().stream()
                .map(option -> option.feedback().plain())
                .toList();
    }
}
