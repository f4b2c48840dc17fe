package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a browser that shows one state of a leaf must change to show another.
 *
 * @param lines that are tagged otherwise; of a source with pages their boxes are in {@code boxes}
 * @param changed cards that stay where they are but look otherwise
 * @param removed ids of cards that are gone or moved
 * @param inserted cards that are new or moved, in order
 * @param loose whether the snags of no single question changed
 */
record ReviewChanges(
        List<SheetLine> lines,
        List<SheetPage.Boxed> boxes,
        List<QuestionCard> changed,
        List<String> removed,
        List<Inserted> inserted,
        boolean loose) {

    /** Above so many parts it is quicker to send the page anew. */
    private static final int MOST = 300;

    /**
     * A card with the id of the one above it, empty for the first.
     */
    record Inserted(String above, QuestionCard card) {}

    boolean isLarge() {
        return lines.size() + 4 * (changed.size() + inserted.size()) > MOST;
    }

    /** @param anyway ids of cards to be sent though nothing about them changed, a form stands in their place for example */
    static ReviewChanges between(ReviewState before, ReviewState after, Set<String> anyway) {
        List<SheetLine> lines = new ArrayList<>();
        for (int i = 0; i < after.lines().size(); i++) {
            if (!after.lines().get(i).equals(before.lines().get(i))) {
                lines.add(after.lines().get(i));
            }
        }
        Set<SheetLine> otherwise = new HashSet<>(lines);
        List<SheetPage.Boxed> boxes = after.pages().stream()
                .flatMap(page -> page.boxes().stream())
                .filter(boxed -> otherwise.contains(boxed.line()))
                .toList();
        Set<String> staying = staying(before.cards(), after.cards());
        Map<String, QuestionCard> old = new HashMap<>();
        before.cards().forEach(card -> old.put(card.id(), card));
        List<QuestionCard> changed = new ArrayList<>();
        List<Inserted> inserted = new ArrayList<>();
        String above = "";
        for (QuestionCard card : after.cards()) {
            if (!staying.contains(card.id())) {
                inserted.add(new Inserted(above, card));
            } else if (!card.equals(old.get(card.id())) || anyway.contains(card.id())) {
                changed.add(card);
            }
            above = card.id();
        }
        List<String> removed = old.keySet().stream()
                .filter(id -> !staying.contains(id))
                .sorted()
                .toList();
        boolean loose = !loose(before).equals(loose(after));
        return new ReviewChanges(lines, boxes, changed, removed, inserted, loose);
    }

    private static List<?> loose(ReviewState state) {
        return new ReviewPage(state, "", List.of()).loose();
    }

    /** Cards that follow one another in both states; the others are taken out and put in again. */
    private static Set<String> staying(List<QuestionCard> before, List<QuestionCard> after) {
        Map<String, Integer> places = new HashMap<>();
        before.forEach(card -> places.put(card.id(), places.size()));
        List<String> ids =
                after.stream().map(QuestionCard::id).filter(places::containsKey).toList();
        int from = 0;
        while (from < Math.min(before.size(), ids.size())
                && before.get(from).id().equals(ids.get(from))) {
            from++;
        }
        Set<String> staying = new HashSet<>(ids.subList(0, from));
        int end = before.size();
        int last = ids.size();
        while (end > from && last > from && before.get(end - 1).id().equals(ids.get(last - 1))) {
            end--;
            last--;
            staying.add(ids.get(last));
        }
        int at = from - 1;
        for (String id : ids.subList(from, last)) {
            if (places.get(id) > at && places.get(id) < end) {
                at = places.get(id);
                staying.add(id);
            }
        }
        return staying;
    }
}
