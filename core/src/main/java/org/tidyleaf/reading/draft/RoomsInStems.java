package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * "Who am I?" over "I lay the eggs. ______" and "I have no sting. ______": where several sentences of one question have room
 * behind them, each room is a gap, and no lines for a longer answer.
 */
final class RoomsInStems {

    private static final Pattern ROOM = Pattern.compile("\\s*(?:_{3,}|\\.{4,}|\u2026{2,})\\s*");
    private static final int SEVERAL = 2;

    private RoomsInStems() {}

    static void restore(Source source, Draft draft) {
        List<Segment> cut = draft.stem.stream()
                .filter(part -> draft.writing.contains(part.line()) && isRoom(rest(source, part)))
                .toList();
        // Numbered statements have room for what they are judged to be.
        boolean numbered = cut.stream()
                .skip(1)
                .anyMatch(part -> Character.isDigit(source.text(part).strip().charAt(0)));
        if (cut.size() < SEVERAL || numbered || !draft.options.isEmpty()) {
            return;
        }
        draft.stem.replaceAll(part -> cut.contains(part)
                ? new Segment(
                        part.line(),
                        part.from(),
                        source.line(part.line()).text().length())
                : part);
        cut.forEach(part -> draft.writing.remove(Integer.valueOf(part.line())));
    }

    private static String rest(Source source, Segment part) {
        Line line = source.line(part.line());
        return line.text().substring(part.to());
    }

    private static boolean isRoom(String rest) {
        return ROOM.matcher(rest).matches();
    }
}
