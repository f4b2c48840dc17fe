package org.tidyleaf.reading;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;

/** Reads what is typed in a test, and asks for what was understood. */
final class Typed {

    private Typed() {}

    static Reading read(String text, Pins pins) {
        try {
            return new Reader().read(new Intake().read("test.txt", text.getBytes(StandardCharsets.UTF_8)), pins);
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    static Reading read(String text) {
        return read(text, Pins.NONE);
    }

    static List<String> stems(Reading reading) {
        return reading.questions().stream()
                .map(read -> read.question().particulars().stem().plain())
                .toList();
    }

    static ChoiceQuestion choice(Reading reading, int place) {
        return (ChoiceQuestion) reading.questions().get(place).question();
    }

    static List<String> options(Question question) {
        return ((ChoiceQuestion) question)
                .options().stream().map(option -> option.text().plain()).toList();
    }

    static Role role(Reading reading, int line) {
        return reading.ledger().get(line - 1).role();
    }

    static Reading read(String text, String key) {
        try {
            Intake intake = new Intake();
            return new Reader()
                    .read(
                            intake.read("test.txt", text.getBytes(StandardCharsets.UTF_8)),
                            Pins.NONE,
                            Optional.of(intake.read("key.txt", key.getBytes(StandardCharsets.UTF_8))));
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    static final String THREE = """
            1. Who dances?
            A. workers
            B. drones
            C. nobody
            2. Who stings?
            A. workers
            B. drones
            3. Who lays?
            A. the queen
            B. drones
            """;

    static List<Set<Integer>> keys(Reading reading) {
        return reading.questions().stream()
                .map(read -> ((ChoiceQuestion) read.question()).key())
                .toList();
    }
}
