package org.tidyleaf.tidying;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.source.Source;

/** What another type keeps of a question. */
class RetypingTest {

    private static final String TEST = """
            1. Which of these come from bees?
            A. wax *
            B. silk
            C. honey *
            2. Bees store honey in the ________ .
            Answer: comb
            3. Put these steps into the right order.
            A. Close the hive.
            B. Open the hive.
            Answer: B, A
            4. Which tool does what?
            A. smoker - calms the bees
            B. veil - protects the face
            """;

    private static Tidied after(Decision... decisions) {
        try {
            Source source = new Intake().read("bees.txt", TEST.getBytes(StandardCharsets.UTF_8));
            return Tidying.apply(source, new Decisions(List.of(decisions)));
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private static Question as(int place, QuestionType type) {
        String id = after().quiz().questions().get(place).id();
        return after(new Decision.ChangeType(id, type)).question(id).orElseThrow();
    }

    private static List<String> texts(List<Prose> proses) {
        return proses.stream().map(Prose::plain).toList();
    }

    @Test
    void optionsBecomeStatementsToJudge() {
        Grid grid = (Grid) as(0, QuestionType.GRID);
        assertThat(texts(grid.rows())).containsExactly("wax", "silk", "honey");
        assertThat(texts(grid.columns())).containsExactly("True", "False");
        assertThat(grid.key()).containsExactly(Set.of(0), Set.of(1), Set.of(0));
    }

    @Test
    void optionsBecomeABankAndTheTextGetsItsGap() {
        GapMatch bank = (GapMatch) as(0, QuestionType.GAP_MATCH);
        assertThat(bank.words()).containsExactly("wax", "silk", "honey");
        assertThat(bank.particulars().stem().plain()).isEqualTo("Which of these come from bees? [[1]]");
        // Two right words don't fit one gap, so the teacher is asked.
        assertThat(bank.isKeyed()).isFalse();
    }

    @Test
    void aGapBecomesAChoiceOrABankWithItsWord() {
        ChoiceQuestion choice = (ChoiceQuestion) as(1, QuestionType.SINGLE_CHOICE);
        assertThat(choice.options()).hasSize(1);
        assertThat(choice.options().get(0).text().plain()).isEqualTo("comb");
        assertThat(choice.key()).containsExactly(0);
        GapMatch bank = (GapMatch) as(1, QuestionType.GAP_MATCH);
        assertThat(bank.key()).containsExactly("comb");
    }

    @Test
    void aBankOfOneGapGoesBackToAChoiceWithItsKey() {
        String id = after().quiz().questions().get(0).id();
        Question back = after(
                        new Decision.SetKey(id, Set.of(2)),
                        new Decision.ChangeType(id, QuestionType.GAP_MATCH),
                        new Decision.ChangeType(id, QuestionType.SINGLE_CHOICE))
                .question(id)
                .orElseThrow();
        assertThat(((ChoiceQuestion) back).key()).containsExactly(2);
    }

    @Test
    void stepsBecomeOptionsAndOptionsSteps() {
        ChoiceQuestion choice = (ChoiceQuestion) as(2, QuestionType.MULTIPLE_CHOICE);
        assertThat(choice.options())
                .extracting(o -> o.text().plain())
                .containsExactly("Close the hive.", "Open the hive.");
        Order order = (Order) as(0, QuestionType.ORDER);
        assertThat(texts(order.items())).containsExactly("wax", "silk", "honey");
        assertThat(order.isKeyed()).isFalse();
    }

    @Test
    void optionsThatSayTwoThingsBecomePairsOthersStay() {
        Match match = (Match) as(3, QuestionType.MATCH);
        assertThat(texts(match.lefts())).containsExactly("smoker", "veil");
        assertThat(texts(match.targets())).containsExactly("calms the bees", "protects the face");
        assertThat(match.key()).containsExactly(0, 1);
        assertThat(as(0, QuestionType.MATCH).type()).isEqualTo(QuestionType.MULTIPLE_CHOICE);
    }

    @Test
    void theRightOptionBecomesTheTypedAnswer() {
        String id = after().quiz().questions().get(0).id();
        Question typed = after(new Decision.SetKey(id, Set.of(2)), new Decision.ChangeType(id, QuestionType.TEXT_ENTRY))
                .question(id)
                .orElseThrow();
        assertThat(((TextEntry) typed).gaps()).containsExactly(List.of("honey"));
    }

    /** Whatever the types, changing there and on never fails and never loses the text. */
    @Test
    void everyTypeCanBeAskedFor() {
        for (int place = 0; place < 4; place++) {
            for (QuestionType first : QuestionType.values()) {
                for (QuestionType second : QuestionType.values()) {
                    Question before = after().quiz().questions().get(place);
                    Question changed = after(
                                    new Decision.ChangeType(before.id(), first),
                                    new Decision.ChangeType(before.id(), second))
                            .question(before.id())
                            .orElseThrow();
                    assertThat(changed.particulars().stem().plain())
                            .startsWith(before.particulars().stem().plain());
                }
            }
        }
    }
}
