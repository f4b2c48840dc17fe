package org.tidyleaf.reading;

import java.util.List;
import java.util.stream.Collectors;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Stimulus;

/**
 * What was understood of a source.
 *
 * @param ledger every line of the source exactly once, in order
 */
public record Reading(
        String title,
        List<Section> sections,
        List<Stimulus> stimuli,
        List<ReadQuestion> questions,
        List<Entry> ledger,
        List<Snag> snags) {
    public Reading {
        sections = List.copyOf(sections);
        stimuli = List.copyOf(stimuli);
        questions = List.copyOf(questions);
        ledger = List.copyOf(ledger);
        snags = List.copyOf(snags);
    }

    /** What is said to candidates above all sections and questions, a line for each; empty where nothing is. */
    public String preamble() {
        return ledger.stream()
                .takeWhile(entry -> entry.role() != Role.SECTION && entry.question() == 0)
                .filter(entry -> entry.role() == Role.INSTRUCTION)
                .map(Entry::text)
                .collect(Collectors.joining("\n"));
    }

    /** The test as read, before any edit. */
    public Quiz quiz() {
        List<Question> plain = questions.stream().map(ReadQuestion::question).toList();
        return new Quiz(title, sections, stimuli, plain);
    }
}
