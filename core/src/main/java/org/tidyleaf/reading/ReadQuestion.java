package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.question.Question;
import org.tidyleaf.source.Segment;

/**
 * A question with what the reader knows of its origin.
 *
 * @param evidence why it was read so, in words for the teacher, the most telling first
 * @param keySource where its key was found
 * @param doubt 0 (sure) to 1
 * @param stem the places its stem was read from, never empty
 * @param options for each option the places it was read from
 */
public record ReadQuestion(
        Question question,
        List<String> evidence,
        KeySource keySource,
        double doubt,
        List<Segment> stem,
        List<List<Segment>> options) {
    public ReadQuestion {
        evidence = List.copyOf(evidence);
        stem = List.copyOf(stem);
        options = options.stream().map(List::copyOf).toList();
    }

    /** The same question, its key found elsewhere. */
    public ReadQuestion keyed(Question other, KeySource source, String why) {
        List<String> more = new ArrayList<>(evidence);
        more.add(why);
        return new ReadQuestion(other, more, source, doubt, stem, options);
    }
}
