package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.CircledSigns;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;

/** "Key: 1A 2B" below the questions 1 and 2 of each of several small tests in one document, whose numbers begin anew. */
final class KeyLinesBetween {

    private static final int FEWEST_LINES = 2;
    private static final int FEWEST_ANSWERS = 2;

    private KeyLinesBetween() {}

    /** The answers of all such lines, the numbers of pairs aside; empty where a line has no number or others than stand above it. */
    static Optional<KeyList> find(List<Cues> all, Blocks blocks) {
        Set<Integer> inside = blocks.inside();
        KeyListReader reader = new KeyListReader(all);
        List<Integer> lines = new ArrayList<>();
        Set<String> asked = new HashSet<>();
        boolean anew = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (inside.contains(i)) {
                continue;
            }
            if (!cues.announces(Cues.Announces.KEY)) {
                boolean again =
                        cues.number().filter(label -> label.ordinal() == 1).isPresent();
                anew |= again && !lines.isEmpty();
                cues.number().ifPresent(label -> asked.add(KeyList.withoutZeros(label.printed())));
                continue;
            }
            List<String> answered = read(reader, cues);
            if (answered.size() < FEWEST_ANSWERS || !asked.containsAll(answered)) {
                return Optional.empty();
            }
            lines.add(i);
            asked.clear();
        }
        if (lines.size() < FEWEST_LINES || !anew) {
            return Optional.empty();
        }
        return Optional.of(new KeyList(List.copyOf(reader.items), Set.copyOf(lines), KeySource.ANSWER_LIST, true));
    }

    /** Takes the answers of a line; the numbers that it has one for. */
    private static List<String> read(KeyListReader reader, Cues cues) {
        int before = reader.items.size();
        int end = cues.piece().segment().to();
        String said = CircledSigns.plain(cues.line()
                .text()
                .substring(cues.lead().orElseThrow().end(), end)
                .strip());
        reader.ofPart("", said, cues.line().number());
        return reader.items.subList(before, reader.items.size()).stream()
                .map(KeyList.Item::number)
                .filter(number -> !number.isEmpty())
                .toList();
    }
}
