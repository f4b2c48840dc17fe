package org.tidyleaf.marking;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Sorted;

/**
 * What a candidate answered to one question.
 *
 * @param chosen 0-based places of the options chosen, in the printed order; empty where the question has none
 * @param entered what was typed, one text for each gap; for pairs, places and rows the 0-based place that was chosen
 */
public record Response(Set<Integer> chosen, List<String> entered) {

    public static final Response NONE = new Response(Set.of(), List.of());

    public Response {
        chosen = Sorted.copy(chosen);
        entered = List.copyOf(entered);
    }

    /** Whether nothing was chosen or typed. */
    public boolean isEmpty() {
        return chosen.isEmpty() && entered.stream().allMatch(String::isBlank);
    }
}
