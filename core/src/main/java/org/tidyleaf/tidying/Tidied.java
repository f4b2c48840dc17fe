package org.tidyleaf.tidying;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Survey;

/**
 * A leaf as it stands after all decisions.
 *
 * @param survey what the source shows before any pin
 * @param reading what the reader understood, pins obeyed
 * @param pins those it obeyed
 * @param quiz the test with every edit
 * @param snags those still open
 */
public record Tidied(Survey survey, Reading reading, Pins pins, Quiz quiz, List<OpenSnag> snags) {
    public Tidied {
        snags = List.copyOf(snags);
    }

    /**
     * A place to look at.
     *
     * @param question the id of its question, or empty
     * @param repairs likely ways to settle it, the likeliest first
     * @param blocks whether nothing can be published before it is mended
     */
    public record OpenSnag(
            String kind, String question, int line, String message, boolean blocks, List<Repair> repairs) {
        public OpenSnag {
            repairs = List.copyOf(repairs);
        }
    }

    /**
     * One way to settle a snag.
     *
     * @param words what its button says
     */
    public record Repair(String words, Decision decision) {}

    public List<OpenSnag> blocking() {
        return snags.stream().filter(OpenSnag::blocks).toList();
    }

    public Optional<Question> question(String id) {
        return quiz.questions().stream().filter(q -> q.id().equals(id)).findFirst();
    }

    /** What was read for each question, by its id. */
    public Map<String, ReadQuestion> origins() {
        Map<String, ReadQuestion> origins = new HashMap<>();
        reading.questions().forEach(read -> origins.putIfAbsent(read.question().id(), read));
        return origins;
    }
}
