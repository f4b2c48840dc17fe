package org.tidyleaf.shuffling;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;

/** Common practice: what belongs together stays together, and every order comes up about equally often. */
class ShufflingTest {

    private static final String TEST = """
            Shuffled
            Part A: First
            1. One?
            A. a *
            B. b
            C. c
            D. all of the above
            2. Two? True / False
            3. Three?
            Read the text and answer questions 4-5.
            A hive stands in the sun.
            4. Four?
            5. Five?
            Part B: Second
            6. Six?
            7. Seven?
            """;

    private static Quiz quiz() throws IntakeException {
        return new Reader()
                .read(new Intake().read("t.txt", TEST.getBytes(StandardCharsets.UTF_8)), Pins.NONE)
                .quiz();
    }

    @Test
    void sectionsAndPassagesStayTogether() throws IntakeException {
        Quiz quiz = quiz();
        Set<List<Integer>> orders = new HashSet<>();
        for (int seed = 0; seed < 200; seed++) {
            List<Integer> order = Shuffling.questions(quiz, seed);
            orders.add(order);
            assertThat(order).containsExactlyInAnyOrder(0, 1, 2, 3, 4, 5, 6);
            assertThat(order.subList(5, 7)).containsExactlyInAnyOrder(5, 6);
            assertThat(order.indexOf(4)).isEqualTo(order.indexOf(3) + 1);
            assertThat(Shuffling.questions(quiz, seed)).isEqualTo(order);
        }
        // 4 groups in the first part and 2 questions in the second: 4! times 2! orders.
        assertThat(orders).hasSizeBetween(40, 48);
    }

    @Test
    void optionsThatSpeakOfOthersStayAndEveryPlaceIsTakenAboutEquallyOften() throws IntakeException {
        ChoiceQuestion choice = (ChoiceQuestion) quiz().questions().get(0);
        int[] first = new int[3];
        for (int seed = 0; seed < 3000; seed++) {
            List<Integer> order = Shuffling.options(choice, seed);
            assertThat(order.get(3)).isEqualTo(3);
            first[order.get(0)]++;
        }
        // 1000 each; five standard deviations of a binomial distribution are about 130.
        assertThat(IntStream.of(first).boxed()).allMatch(count -> count > 870 && count < 1130);
    }

    @Test
    void aVersionKeepsEveryKeyAndCountsAnew() throws IntakeException {
        Quiz quiz = quiz();
        for (int seed = 0; seed < 50; seed++) {
            Quiz version = Shuffling.version(quiz, seed);
            assertThat(version.questions())
                    .extracting(question -> question.particulars().number())
                    .containsExactly("1", "2", "3", "4", "5", "6", "7");
            Question turned = version.questions().stream()
                    .filter(question ->
                            question.id().equals(quiz.questions().get(0).id()))
                    .findFirst()
                    .orElseThrow();
            ChoiceQuestion choice = (ChoiceQuestion) turned;
            int right = choice.key().iterator().next();
            assertThat(choice.options().get(right).text().plain()).isEqualTo("a");
            assertThat(choice.options()).extracting(option -> option.label()).containsExactly("A", "B", "C", "D");
        }
    }
}
