package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * Cuts pieces where the teacher pinned words. Words that begin with an announcement ("Sol.: c") teach: other lines are cut
 * before the same announcement.
 */
public final class PinnedWords {

    private static final Pattern ANNOUNCEMENT = Pattern.compile("\\W{0,2}[\\p{L}][\\p{L}.' -]{0,18}?\\s?[:=]");

    private PinnedWords() {}

    public static List<Piece> cut(Source source, List<Piece> pieces, Set<Segment> words) {
        List<String> leads = words.stream()
                .sorted(Comparator.comparing(Segment::line).thenComparing(Segment::from))
                .flatMap(part -> lead(source, part).stream())
                .distinct()
                .toList();
        List<Piece> cut = new ArrayList<>();
        for (Piece piece : pieces) {
            Line line = source.line(piece.segment().line());
            TreeSet<Integer> places = new TreeSet<>();
            words.stream().filter(part -> part.line() == line.number()).forEach(part -> {
                places.add(start(line, part));
                places.add(end(line, part));
            });
            if (places.isEmpty()) {
                leads.forEach(lead -> place(line, lead).ifPresent(places::add));
            }
            int from = piece.segment().from();
            for (int place : places) {
                if (place > from && place < piece.segment().to()) {
                    cut.add(part(piece, from, place));
                    from = place;
                }
            }
            cut.add(part(piece, from, piece.segment().to()));
        }
        return cut;
    }

    private static Piece part(Piece whole, int from, int to) {
        boolean first = whole.first() && from == whole.segment().from();
        return new Piece(new Segment(whole.segment().line(), from, to), first);
    }

    private static Optional<String> lead(Source source, Segment part) {
        String text = source.text(part);
        Matcher matcher = ANNOUNCEMENT.matcher(text);
        return matcher.lookingAt() ? Optional.of(matcher.group()) : Optional.empty();
    }

    /** Where the announcement stands as words of its own, not at the line's beginning, where it is seen anyway. */
    private static Optional<Integer> place(Line line, String lead) {
        int at = line.text().lastIndexOf(lead);
        boolean apart = at > 0 && Character.isWhitespace(line.text().charAt(at - 1));
        return apart ? Optional.of(at) : Optional.empty();
    }

    /** Brackets and stops between the words and the line's beginning are part of them. */
    private static int start(Line line, Segment part) {
        return hasWords(line.text().substring(0, part.from())) ? part.from() : 0;
    }

    private static int end(Line line, Segment part) {
        int to = Math.min(part.to(), line.text().length());
        return hasWords(line.text().substring(to)) ? to : line.text().length();
    }

    private static boolean hasWords(String text) {
        return text.chars().anyMatch(Character::isLetterOrDigit);
    }
}
