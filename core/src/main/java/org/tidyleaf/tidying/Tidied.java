package org.tidyleaf.tidying;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reading;

/**
 * A leaf as it stands after all decisions.
 *
 * @param reading what the reader understood, pins obeyed
 * @param quiz the test with every edit
 * @param snags those still open
 */
public record Tidied(Reading reading, Quiz quiz, List<OpenSnag> snags) {
    public Tidied {
        snags = List.copyOf(snags);
    }

    /**
     * A place to look at.
     *
     * @param question the id of its question, or empty
     * @param blocks whether nothing can be published before it is mended
     */
    public record OpenSnag(String kind, String question, int line, String message, boolean blocks) {}

    public List<OpenSnag> blocking() {
        return snags.stream().filter(OpenSnag::blocks).toList();
    }

    public Optional<Question> question(String id) {
        return quiz.questions().stream().filter(q -> q.id().equals(id)).findFirst();
    }

    /** Where a question came from. */
    public Optional<ReadQuestion> origin(String id) {
        return reading.questions().stream()
                .filter(read -> read.question().id().equals(id))
                .findFirst();
    }
}
