package org.tidyleaf.marking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.StarterDocument;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;

/** Over the starter document, which holds every type. */
class SampleResponsesTest {

    private static final int SCRIPTS = 10_000;
    private static final List<Question> ALL = questions();

    private static List<Question> questions() {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            StarterDocument.write(Paper.DOCX, out);
            return new Reader()
                    .read(new Intake().read("starter.docx", out.toByteArray()), Pins.NONE)
                    .quiz()
                    .questions();
        } catch (IOException | IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    /** What is right in all parts earns all points, however strictly it is marked. */
    @ParameterizedTest
    @EnumSource(PartialMarks.class)
    void whatIsRightEarnsAllUnderEveryRule(PartialMarks parts) {
        for (boolean neighbours : new boolean[] {false, true}) {
            MarkRules rules = new MarkRules(parts, neighbours, true, false);
            for (Question question : ALL) {
                if (question.type() != QuestionType.EXTENDED_TEXT) {
                    assertThat(Marker.mark(question, SampleResponses.right(question), rules)
                                    .earned()
                                    .orElseThrow())
                            .as(question.type() + " under " + rules)
                            .isEqualByComparingTo(Marker.most(question));
                }
            }
        }
    }

    /** No guess earns less than nothing or more than all; stricter rules never give more. */
    @Test
    void guessesStayWithinBoundsAndStricterRulesGiveNoMore() {
        for (int seed = 0; seed < 200; seed++) {
            for (Question question : ALL) {
                Response guess = SampleResponses.random(question, new Random(seed));
                assertThat(guess).isEqualTo(SampleResponses.random(question, new Random(seed)));
                if (question.type() == QuestionType.EXTENDED_TEXT) {
                    continue;
                }
                BigDecimal each = earned(question, guess, PartialMarks.EACH_RIGHT);
                BigDecimal less = earned(question, guess, PartialMarks.LESS_WRONG);
                BigDecimal whole = earned(question, guess, PartialMarks.WHOLE);
                assertThat(whole).isBetween(BigDecimal.ZERO, less);
                assertThat(less).isBetween(whole, each);
                assertThat(each).isBetween(BigDecimal.ZERO, Marker.most(question));
            }
        }
    }

    /**
     * A fact of the trade (common practice): blind guessing among k options earns 1/k on average. Ten thousand seeded
     * scripts; four standard errors of a share are the bound.
     */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5})
    void blindGuessingEarnsOneInSoMany(int options) {
        Question question = new SingleChoice(
                ALL.get(0).particulars(),
                IntStream.range(0, options)
                        .mapToObj(i -> new Option("", Prose.of("option " + i), Prose.EMPTY))
                        .toList(),
                Set.of(options - 1));
        Random random = new Random(11);
        double most = Marker.most(question).doubleValue();
        double mean = IntStream.range(0, SCRIPTS)
                .mapToDouble(i -> earned(question, SampleResponses.random(question, random), PartialMarks.WHOLE)
                                .doubleValue()
                        / most)
                .average()
                .orElseThrow();
        double share = 1.0 / options;
        double error = Math.sqrt(share * (1 - share) / SCRIPTS);
        assertThat(mean).isCloseTo(share, within(4 * error));
    }

    private static BigDecimal earned(Question question, Response response, PartialMarks parts) {
        return Marker.mark(question, response, new MarkRules(parts, false, true, false))
                .earned()
                .orElseThrow();
    }

    /** A question's own rule stands above the test's. */
    @Test
    void aQuestionsOwnRuleIsObeyed() {
        Question several = ALL.stream()
                .filter(question -> question.type() == QuestionType.MULTIPLE_CHOICE)
                .findFirst()
                .orElseThrow();
        Response half = new Response(
                Set.of(SampleResponses.right(several).chosen().iterator().next()), List.of());
        assertThat(Marker.mark(several, half).earned()).contains(BigDecimal.ZERO);
        Question parted = several.withParticulars(several.particulars()
                .withSettings(several.particulars().settings().withPartial(Optional.of(PartialMarks.EACH_RIGHT))));
        assertThat(Marker.mark(parted, half).earned().orElseThrow()).isEqualByComparingTo("1");
    }
}
