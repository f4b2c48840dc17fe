package org.tidyleaf.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A key that stands apart from its questions: at the end of the document, or in a file of its own.
 *
 * @param items in printed order
 * @param pieces places among the document's pieces that the list takes up; empty where it is another file
 */
record KeyList(List<Item> items, Set<Integer> pieces, KeySource source) {

    static final KeyList NONE = new KeyList(List.of(), Set.of(), KeySource.NONE);

    /**
     * One answer.
     *
     * @param heading the heading it stands under, or empty
     * @param number the printed number of its question
     * @param line the 1-based line it was read from
     */
    record Item(String heading, String number, String text, int line) {}

    /** The answer for a question; where numbers begin anew in each section, the heading decides. */
    Optional<Item> find(String number, String heading) {
        List<Item> same =
                items.stream().filter(item -> item.number().equals(number)).toList();
        if (same.size() <= 1) {
            return same.stream().findFirst();
        }
        String wanted = plain(heading);
        return same.stream()
                .filter(item -> !wanted.isEmpty() && plain(item.heading()).equals(wanted))
                .findFirst()
                .or(() -> same.stream()
                        .filter(item -> !item.heading().isEmpty() && wanted.startsWith(plain(item.heading()) + " "))
                        .findFirst());
    }

    private static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", " ").strip();
    }
}
