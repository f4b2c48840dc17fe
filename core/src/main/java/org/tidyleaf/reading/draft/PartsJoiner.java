package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Label;

/** Gives parts with options or points of their own the number of their question and what they share. */
final class PartsJoiner {

    private PartsJoiner() {}

    /**
     * Gives each part the number of its question and what stands there as its lead; the question itself is none.
     *
     * @param owners for each piece the 1-based place of its question; changed
     * @param roles changed where the lead becomes a passage
     */
    static List<Draft> join(List<Draft> questions, Set<Integer> parts, List<Assigned> roles, int[] owners) {
        Set<Integer> ofParts = new HashSet<>();
        parts.forEach(piece -> ofParts.add(owners[piece]));
        List<Draft> kept = new ArrayList<>();
        int[] places = new int[questions.size() + 2];
        Optional<Draft> whole = Optional.empty();
        Optional<Draft> lettered = Optional.empty();
        for (int place = 1; place <= questions.size(); place++) {
            Draft draft = questions.get(place - 1);
            boolean numeral = lettered.isPresent() && draft.number.matches("[ivx]+");
            lettered = numeral ? lettered : Optional.empty();
            boolean part = ofParts.contains(place) && whole.isPresent();
            boolean lead = !part && place < questions.size() && ofParts.contains(place + 1) && draft.options.isEmpty();
            whole = lead ? Optional.of(draft) : part ? whole : Optional.empty();
            boolean heads = part && !numeral && headsNumerals(questions, place);
            if (part) {
                Draft above = numeral ? lettered.get() : whole.get();
                // "3.1" has the number of its question already.
                draft.number = draft.number.startsWith(above.number + ".") ? draft.number : above.number + draft.number;
                draft.lead.addAll(above.lead);
                draft.bank = above.words.isEmpty() ? bank(above, draft.bank) : BankWords.of(above.words);
            }
            lettered = heads ? Optional.of(draft) : lettered;
            if (!lead && !heads) {
                kept.add(draft);
            }
            places[place] = lead || heads ? kept.size() + 1 : kept.size();
            if (lead || heads) {
                draft.lead.addAll(SharedLead.of(draft, place, roles, owners, owners.length));
                SharedLead.asPassage(place, roles, owners, owners.length);
                share(draft, questions, place, ofParts);
            }
        }
        for (int i = 0; i < owners.length; i++) {
            owners[i] = owners[i] > questions.size() ? owners[i] : places[owners[i]];
        }
        return kept;
    }

    /** A lettered part that "i" and "ii" stand below is only what they share. */
    private static boolean headsNumerals(List<Draft> questions, int place) {
        return place + 1 < questions.size()
                && questions.get(place - 1).number.matches("[a-h]")
                && questions.get(place - 1).options.isEmpty()
                && questions.get(place).number.equals("i")
                && questions.get(place + 1).number.equals("ii");
    }

    /** "Task 1 (4 points)" over four parts that say nothing of points themselves, or "(4 points)" behind the last of them. */
    private static void share(Draft lead, List<Draft> questions, int place, Set<Integer> ofParts) {
        List<Draft> parts = new ArrayList<>();
        for (int next = place + 1; next <= questions.size() && ofParts.contains(next); next++) {
            parts.add(questions.get(next - 1));
        }
        if (DraftPoints.shareByTerms(lead, parts)) {
            return;
        }
        Optional<BigDecimal> each = lead.cues.stream()
                .flatMap(cues -> PointsFinder.each(cues.text()).stream())
                .map(found -> found.points())
                .findFirst();
        if (each.isPresent() && parts.stream().noneMatch(part -> part.pointed)) {
            parts.forEach(part -> part.points = each);
            return;
        }
        if (lead.points.isPresent() && parts.stream().noneMatch(part -> part.pointed)) {
            // What is said of the whole stands above what is said of all questions; each of these is a whole as well.
            parts.forEach(part -> part.points = Optional.empty());
        }
        PartSplitter.shareOut(lead.points, parts, false);
    }

    /** "2. Complete with: saw, plane": the words that a lead names for its parts; else those they have. */
    private static List<String> bank(Draft lead, List<String> own) {
        List<String> named =
                WordBanks.named(lead.cues.stream().map(PartsJoiner::asked).collect(Collectors.joining(" ")));
        return named.isEmpty() ? own : named;
    }

    /** What stands behind the number, up to what it is worth. */
    private static String asked(Cues cues) {
        int from = cues.number().map(Label::end).orElse(cues.piece().segment().from());
        String text = cues.line().text().substring(from, cues.piece().segment().to());
        return PointsFinder.beside(text)
                .filter(found -> found.from() > 0)
                .map(found -> text.substring(0, found.from()))
                .orElse(text);
    }
}
