package org.tidyleaf.web.sitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.web.page.Responses;

/** The small rules of a sitting, each by itself. */
class SittingRulesPartsTest {

    private static final Instant BEGUN = Instant.parse("2027-03-01T09:00:00Z");

    private static Rules rules(int minutes, Optional<Instant> closes, boolean best) {
        return new Rules(
                Optional.empty(),
                closes,
                minutes,
                false,
                false,
                false,
                true,
                Rules.Show.AT_ONCE,
                Rules.Show.NEVER,
                "",
                "",
                3,
                best,
                org.tidyleaf.marking.MarkRules.USUAL);
    }

    private static ScriptEventEntity given(int minutes) {
        return new ScriptEventEntity(
                UUID.randomUUID(), ScriptEventEntity.Kind.EXTENDED, minutes, "", UUID.randomUUID(), BEGUN);
    }

    @Test
    void theTimeIsTheLimitWithWhatOneHasMoreAndNeverAfterTheClosing() {
        assertThat(Deadline.of(rules(0, Optional.empty(), false), BEGUN, 0, List.of()))
                .isEmpty();
        assertThat(Deadline.of(rules(40, Optional.empty(), false), BEGUN, 10, List.of(given(5), given(3))))
                .contains(Instant.parse("2027-03-01T09:58:00Z"));
        Optional<Instant> closes = Optional.of(Instant.parse("2027-03-01T09:30:00Z"));
        assertThat(Deadline.of(rules(40, closes, false), BEGUN, 10, List.of())).isEqualTo(closes);
        // What is given by hand holds beyond the closing.
        assertThat(Deadline.of(rules(40, closes, false), BEGUN, 0, List.of(given(15))))
                .contains(Instant.parse("2027-03-01T09:45:00Z"));
    }

    @Test
    void aPastedListIsReadHoweverItsCellsAreParted() {
        assertThat(ClassList.read("Name;Mail;Number\nAda Brook;ada@wrenfield.example;12\n\nLeo Marsh;;13\n"))
                .containsExactly(
                        new ClassList.Person("Ada Brook", "12", "ada@wrenfield.example", 0),
                        new ClassList.Person("Leo Marsh", "13", "", 0));
        assertThat(ClassList.read("Ada Brook\t12\t+15 min\n"))
                .containsExactly(new ClassList.Person("Ada Brook", "12", "", 15));
        assertThat(ClassList.read("\"Marsh, Leo\",13"))
                .containsExactly(new ClassList.Person("Marsh, Leo", "13", "", 0));
        assertThat(ClassList.read("  ")).isEmpty();
    }

    @Test
    void whatMakesNoSenseIsSaidAndNothingIsOpened() {
        RulesForm form = new RulesForm();
        form.setOpens("2027-03-01T10:00");
        form.setCloses("2027-03-01T09:00");
        form.setMinutes("-5");
        form.setAttempts("0");
        List<String> faults = new ArrayList<>();
        assertThat(form.rules(ZoneId.of("Europe/Paris"), faults)).isEmpty();
        assertThat(faults)
                .hasSize(3)
                .anyMatch(fault -> fault.contains("closes before") || fault.contains("close before"));
        form.setCloses("2027-03-01T11:00");
        form.setMinutes("");
        form.setAttempts("2");
        faults.clear();
        assertThat(form.rules(ZoneId.of("Europe/Paris"), faults).orElseThrow().closes())
                .contains(Instant.parse("2027-03-01T10:00:00Z"));
        assertThat(faults).isEmpty();
    }

    @Test
    void ofSeveralAttemptsTheRightOneCounts() {
        Quiz quiz = quiz();
        UUID person = UUID.randomUUID();
        ResultTable.Answers right = attempt(person, 0, true);
        ResultTable.Answers wrong = attempt(person, 1, true);
        ResultTable.Answers open = attempt(person, 1, false);
        assertThat(Attempts.counting(quiz, rules(0, Optional.empty(), false), List.of(right, wrong)))
                .containsExactly(wrong);
        assertThat(Attempts.counting(quiz, rules(0, Optional.empty(), true), List.of(right, wrong)))
                .containsExactly(right);
        // One that is still being written takes nothing away.
        assertThat(Attempts.counting(quiz, rules(0, Optional.empty(), false), List.of(right, open)))
                .containsExactly(right);
    }

    private static ResultTable.Answers attempt(UUID person, int chosen, boolean handedIn) {
        Responses responses = new Responses(Map.of("q1", new Response(java.util.Set.of(chosen), List.of())));
        return new ResultTable.Answers(UUID.randomUUID(), person, "Ada", handedIn, responses, Map.of());
    }

    private static Quiz quiz() {
        Particulars particulars =
                new Particulars("q1", "1", Prose.of("Who dances?"), Optional.empty(), -1, -1, Prose.EMPTY, Prose.EMPTY);
        List<Option> options = List.of(
                new Option("A", Prose.of("workers"), Prose.EMPTY), new Option("B", Prose.of("drones"), Prose.EMPTY));
        return new Quiz(
                "Check", List.of(), List.of(), List.of(new SingleChoice(particulars, options, java.util.Set.of(0))));
    }
}
