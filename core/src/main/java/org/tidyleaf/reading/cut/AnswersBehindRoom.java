package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.UnitSymbols;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "What is a young bee called?  ________  <i>larva</i>": the author's copy, with the answer set apart behind the room that candidates
 * write on.
 */
public final class AnswersBehindRoom {

    private static final Pattern ROOM =
            Pattern.compile("(?:^|[.?!:)\u201d\"]\\s{0,9})(?:_{3,200}|\\.{5,200}|\u2026{2,99})\\s+(\\S.{0,80})$");

    /** "Bees feed on ______. <i>(nectar)</i>": behind the whole sentence; a verb to put in stands beside its gap. */
    private static final Pattern BRACKETED = Pattern.compile(
            "(?:_{3,200}|\\.{5,200}|\u2026{2,99})[^_\u2026]{0,200}?[.?!]\\s{1,9}([(\\[][^()\\[\\]]{1,60}[)\\]])\\s*$");

    private static final List<Emphasis> SIGNS =
            List.of(Emphasis.ITALIC, Emphasis.COLOR, Emphasis.HIGHLIGHT, Emphasis.BOLD, Emphasis.UNDERLINE);

    private static final int LONGEST = 600;

    /** One alone may be stressed for another reason. */
    private static final int SEVERAL = 2;

    private AnswersBehindRoom() {}

    /** Where they begin. */
    static RepeatedCuts cuts(Source source) {
        return new RepeatedCuts(source, AnswersBehindRoom::start, SEVERAL);
    }

    private static int start(Line line) {
        boolean possible = !line.spans().isEmpty() && line.text().length() < LONGEST && hasRoom(line.text());
        if (!possible) {
            return 0;
        }
        Matcher room = Stream.of(ROOM, BRACKETED)
                .map(pattern -> pattern.matcher(line.text()))
                .filter(Matcher::find)
                .findFirst()
                .orElse(null);
        if (room == null || isUnitOrPoints(room.group(1).strip())) {
            return 0;
        }
        int at = room.start(1);
        int end = line.text().length();
        boolean apart = SIGNS.stream()
                .anyMatch(sign -> line.isMostly(sign, at, end) && (at < 1 || !line.isMostly(sign, 0, at)));
        return apart ? at : 0;
    }

    private static boolean isUnitOrPoints(String behind) {
        return UnitSymbols.isSymbol(behind)
                || PointsFinder.isPointsOnly(behind)
                || behind.matches("[(\\[]\\s*\\d{1,2}\\s*[)\\]]|/\\s*\\d{1,2}");
    }

    private static boolean hasRoom(String text) {
        return text.contains("___") || text.contains(".....") || text.contains("\u2026\u2026");
    }

    /** What was cut off there says the answer. */
    public static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            if (!cues.piece().first() && cues.lead().isEmpty() && from == start(cues.line())) {
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, from)));
            }
        }
    }
}
