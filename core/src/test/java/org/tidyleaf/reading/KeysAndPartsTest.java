package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.tidyleaf.reading.Typed.THREE;
import static org.tidyleaf.reading.Typed.choice;
import static org.tidyleaf.reading.Typed.keys;
import static org.tidyleaf.reading.Typed.options;
import static org.tidyleaf.reading.Typed.read;
import static org.tidyleaf.reading.Typed.stems;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.TextEntry;

/** Where keys stand, and questions of several parts; what is typed is seen in the test. */
class KeysAndPartsTest {

    @Test
    void aListOfAnswersAtTheEndIsReadInManyForms() {
        for (String list : List.of(
                "1-3: BAA",
                "1 B 2 A 3 A",
                "1. B\n2. A\n3. A",
                "1) b, 2) a, 3) a",
                "1. B \u2013 2. A \u2013 3. A",
                "1\t2\t3\nB\tA\tA")) {
            Reading reading = read(THREE + "Answers\n" + list + "\n");
            assertThat(keys(reading)).as(list).containsExactly(Set.of(1), Set.of(0), Set.of(0));
            assertThat(reading.questions()).allMatch(read -> read.keySource() == KeySource.ANSWER_LIST);
        }
    }

    @Test
    void theWordAnswersInsideATestIsNoList() {
        Reading reading = read("Answers\nThink before you write.\n" + THREE);
        assertThat(reading.questions())
                .hasSize(3)
                .noneMatch(read -> read.question().isKeyed());
    }

    @Test
    void aKeyInAFileOfItsOwnFindsItsSectionsWhereNumbersBeginAnew() {
        String test = """
                Part A: Bees
                1. Who dances?
                A. workers
                B. drones
                2. Who lays?
                A. drones
                B. the queen
                Part B: Wax
                1. Who makes it?
                A. drones
                B. workers
                2. What is it for?
                A. comb
                B. food
                """;
        Reading reading = read(test, "Key for Bees and Wax\nPart A: Bees\n1 A 2 B\nPart B: Wax\n1 B 2 A\n");
        assertThat(keys(reading)).containsExactly(Set.of(0), Set.of(1), Set.of(1), Set.of(0));
        assertThat(reading.questions()).allMatch(read -> read.keySource() == KeySource.SEPARATE);
    }

    @Test
    void judgementsArePrintedInManyWays() {
        Reading reading = read("""
                Part 1
                T F 1. Drones sting.
                __T__ 2. Workers sting.
                3. Wax melts at 64 degrees. T F
                4. Honey never freezes. \u2610 True \u2610 False
                5. Pollen is food. (T/F)
                Answer: T
                6. A queen lays drones only.
                False
                """);
        assertThat(reading.questions())
                .hasSize(6)
                .allMatch(read -> read.question().type() == QuestionType.TRUE_FALSE);
        assertThat(choice(reading, 1).key()).containsExactly(0);
        assertThat(choice(reading, 4).key()).containsExactly(0);
        assertThat(choice(reading, 5).key()).containsExactly(1);
        assertThat(stems(reading))
                .startsWith("Drones sting.", "Workers sting.", "Wax melts at 64 degrees.", "Honey never freezes.");
    }

    @Test
    void aLetterInTheMarginIsTheKey() {
        Reading reading = read("""
                B1A01 (B) [7.2]
                Which bee is the largest?
                A. the worker
                B. the queen
                B1A02 (A)
                Which bee has no sting?
                A. the drone
                B. the worker
                B1A03 (A)
                Which bee dances?
                A. the worker
                B. the drone
                """);
        assertThat(keys(reading)).containsExactly(Set.of(1), Set.of(0), Set.of(0));
        assertThat(reading.questions().get(0).question().particulars().number()).isEqualTo("B1A01");
        assertThat(stems(reading).get(0)).isEqualTo("Which bee is the largest?");
    }

    @Test
    void pairsStandInTwoColumnsWithTheirKeyBelow() {
        Reading reading = read("""
                1. Match each bee with its work.
                1) queen\ta) gathers pollen
                2) drone\tb) lays eggs
                3) worker\tc) mates with a queen
                Answer: 1-b, 2-c, 3-a
                2. Who dances?
                A. workers *
                B. drones
                """);
        Match match = (Match) reading.questions().get(0).question();
        assertThat(match.lefts()).extracting(Prose::plain).containsExactly("queen", "drone", "worker");
        assertThat(match.targets())
                .extracting(Prose::plain)
                .containsExactly("gathers pollen", "lays eggs", "mates with a queen");
        assertThat(match.key()).containsExactly(1, 2, 0);
        assertThat(reading.questions()).hasSize(2);
    }

    @Test
    void finishedPairsAreTheirOwnKey() {
        Reading reading =
                read("1. Pair each tool with its use.\nsmoker = calms the bees\nhive tool = loosens frames\n");
        assertThat(((Match) reading.questions().get(0).question()).key()).containsExactly(0, 1);
    }

    @Test
    void stepsAreOrderedByLettersOrByNumbersInBlanks() {
        Reading reading = read("""
                1. Put these steps into the right order.
                A. Close the hive.
                B. Open the hive.
                C. Look at the frames.
                Answer: B, C, A
                2. Number the steps from 1 to 3.
                ( 2 ) Shake the branch.
                ( 1 ) Hold a box below.
                ( 3 ) Close the box.
                """);
        assertThat(((Order) reading.questions().get(0).question()).key()).containsExactly(1, 2, 0);
        Order numbered = (Order) reading.questions().get(1).question();
        assertThat(numbered.items())
                .extracting(Prose::plain)
                .containsExactly("Shake the branch.", "Hold a box below.", "Close the box.");
        assertThat(numbered.key()).containsExactly(1, 0, 2);
    }

    @Test
    void aBankOfWordsBelongsToItsGappedText() {
        Reading reading = read("""
                1. Fill the gaps with words from the box.
                smoke   veil   honey   tool
                Put on your ______ and light the ______.
                Answers: veil, smoke
                """);
        GapMatch bank = (GapMatch) reading.questions().get(0).question();
        assertThat(bank.words()).containsExactly("smoke", "veil", "honey", "tool");
        assertThat(bank.key()).containsExactly("veil", "smoke");
        assertThat(stems(reading).get(0))
                .isEqualTo("Fill the gaps with words from the box. Put on your [[1]] and light the [[2]].");
    }

    @Test
    void answersInBracketsBecomeGaps() {
        Reading reading = read("1. Bees make comb from [wax].\n2. A hive is opened in [daylight / sunshine].\n");
        assertThat(stems(reading)).containsExactly("Bees make comb from [[1]].", "A hive is opened in [[1]].");
        assertThat(((TextEntry) reading.questions().get(1).question()).gaps())
                .containsExactly(List.of("daylight", "sunshine"));
        assertThat(reading.questions().get(0).keySource()).isEqualTo(KeySource.MARK);
    }

    @Test
    void aPlaceToWriteTheAnswerIsNoGapAndNoKey() {
        Reading reading = read("""
                1. How many legs has a bee? ______ legs
                2. How wide is a bee space?
                Answer: ________ mm
                """);
        assertThat(stems(reading)).containsExactly("How many legs has a bee?", "How wide is a bee space?");
        assertThat(reading.questions()).noneMatch(read -> read.question().isKeyed());
    }

    @Test
    void aPassageIsForItsRangeOfQuestions() {
        Reading reading = read("""
                1. Who dances?
                A. workers
                B. drones
                Read the log below, then answer questions 2 to 3.
                On Monday the hive was heavy and the bees flew far into the evening.
                2. When was it heavy?
                A. Monday
                B. Friday
                3. How long did they fly?
                A. into the evening
                B. until noon
                4. Who stings?
                A. workers
                B. drones
                """);
        assertThat(reading.questions())
                .extracting(read -> read.question().particulars().stimulus())
                .containsExactly(-1, 0, 0, -1);
        assertThat(reading.stimuli().get(0).text().plain())
                .startsWith("Read the log below")
                .endsWith("into the evening.");
    }

    @Test
    void feedbackStandsWithItsOptionAndTheExplanationWithItsQuestion() {
        Reading reading = read("""
                1. Who dances?
                A. workers
                Feedback: Yes, to tell the way.
                B. drones
                Feedback: They only fly out to mate.
                Answer: A
                Explanation: The dance shows the direction.
                Hint: Think of who gathers food.
                """);
        assertThat(choice(reading, 0).options())
                .extracting(option -> option.feedback().plain())
                .containsExactly("Yes, to tell the way.", "They only fly out to mate.");
        assertThat(reading.questions()
                        .get(0)
                        .question()
                        .particulars()
                        .feedback()
                        .plain())
                .isEqualTo("The dance shows the direction.");
        assertThat(reading.questions().get(0).question().particulars().hint().plain())
                .isEqualTo("Think of who gathers food.");
    }

    @Test
    void labelsOfTheAuthorAreSetAsideAndTheirPointsKept() {
        Reading reading = read("""
                Topic: dance | Difficulty: easy | Points: 2
                Question 1. Who dances?
                A. workers
                B. drones
                ANS: A
                Topic: sting | Difficulty: hard | Points: 3
                Question 2. Who stings?
                A. workers
                B. drones
                ANS: A
                """);
        assertThat(reading.questions())
                .extracting(read ->
                        read.question().particulars().points().orElseThrow().intValue())
                .containsExactly(2, 3);
        assertThat(reading.ledger().get(0).reason()).isEqualTo("label for the author");
    }

    @Test
    void percentagesBehindOptionsAreTheirKey() {
        Reading reading = read("1. Which are tools?\nA. smoker (50%)\nB. wax (0%)\nC. veil (50%)\n");
        assertThat(choice(reading, 0).key()).containsExactlyInAnyOrder(0, 2);
        assertThat(options(reading.questions().get(0).question())).containsExactly("smoker", "wax", "veil");
    }

    @Test
    void pointsAreReadInWordsToo() {
        Reading reading = read("Part A: Bees\nTwo marks for each question.\n" + THREE);
        assertThat(reading.questions())
                .allMatch(read ->
                        read.question().particulars().points().orElseThrow().intValue() == 2);
    }

    @Test
    void romanStatementsBelongToTheStemOfTheirChoice() {
        Reading reading = read("""
                1. Which of these statements hold?
                I. Drones sting.
                II. Workers dance.
                a) only I
                b) only II
                2. Who lays?
                a) drones
                b) the queen
                """);
        assertThat(options(reading.questions().get(0).question())).containsExactly("only I", "only II");
        assertThat(stems(reading).get(0))
                .isEqualTo("Which of these statements hold? I. Drones sting. II. Workers dance.");
    }

    @Test
    void partsOfAQuestionKeepTheirNumbers() {
        Reading reading = read("1. Who dances?\n2a. Describe a swarm.\n2b. Explain how you take it.\n3. Who lays?\n");
        assertThat(reading.questions())
                .extracting(read -> read.question().particulars().number())
                .containsExactly("1", "2a", "2b", "3");
    }

    @Test
    void aQuestionWhoseTypeIsAGuessIsDoubted() {
        Reading reading = read("1. Underline the bees in the sentence.\n2. Explain why bees dance.\n");
        assertThat(reading.questions().get(0).doubt()).isGreaterThanOrEqualTo(0.3);
        assertThat(reading.questions().get(1).doubt()).isLessThan(0.1);
    }

    @Test
    void theInstructorsCopyOfTheSameTestIsItsKey() {
        String copy = THREE.replace("A. the queen", "*A. the queen").replace("C. nobody", "*C. nobody");
        Reading reading = read(THREE, copy);
        assertThat(keys(reading)).containsExactly(Set.of(2), Set.of(), Set.of(0));
        assertThat(reading.questions().get(0).keySource()).isEqualTo(KeySource.SEPARATE);
    }

    @Test
    void aPictureThatIsSpokenOfButAbsentIsASnag() {
        Reading reading = read(
                "1. Look at the diagram. Which part is the super?\nA. P *\nB. Q\n2. Who dances?\nA. workers *\nB. drones\n");
        assertThat(reading.snags()).extracting(Snag::kind).containsExactly("figure-absent");
    }
}
