package org.tidyleaf.reading.model;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.KeySource;

/**
 * What all sources of a key together say about one question.
 *
 * @param chosen 0-based places of the right options; empty where none was found or the question has no options
 * @param text what an answer line says, for questions without options
 * @param evidence in words for the teacher
 * @param conflict what two sources say against each other, if they do
 */
public record GatheredKey(
        Set<Integer> chosen,
        Optional<String> text,
        KeySource source,
        List<String> evidence,
        Optional<String> conflict) {

    static GatheredKey none() {
        return new GatheredKey(Set.of(), Optional.empty(), KeySource.NONE, List.of(), Optional.empty());
    }
}
