package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Pattern;

/** "Give two ways." and below it "1 ________" and "2 ________": room for several answers, and no questions. */
final class NumberedRoom {

    private static final Pattern ROOM = Pattern.compile("\\d{1,2}\\s+[_.\u2026]{5,}\\s*");

    private static final int FEWEST = 2;

    private NumberedRoom() {}

    /** Takes the numbers off such lines where questions have numbers of another kind. */
    static void unlabel(List<Cues> all) {
        int from = 0;
        boolean numbered = false;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && isRoom(all.get(to), to - from + 1)) {
                to++;
            }
            for (int i = from; numbered && i < to && to - from >= FEWEST; i++) {
                all.set(i, all.get(i).withLabels(List.of()));
            }
            numbered |= from == to
                    && all.get(from)
                            .number()
                            .filter(label -> label.shape().length() > 1)
                            .isPresent();
            from = Math.max(to, from + 1);
        }
    }

    private static boolean isRoom(Cues cues, int ordinal) {
        return ROOM.matcher(cues.text()).matches()
                && cues.number().filter(label -> label.ordinal() == ordinal).isPresent();
    }
}
