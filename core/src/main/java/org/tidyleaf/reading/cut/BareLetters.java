package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Line;

/** "A 12 mm", "B 15 mm", "C 18 mm" on lines one below the other: letters without a full stop, known by their run. */
public final class BareLetters {

    private static final Pattern BARE = Pattern.compile("([A-H])(?:\\s+)(?=\\S)|([a-h])(?:\\s+)(?=\\S)");

    /** "a queen cells": a small letter close to what it letters may be a word, three of them are none. */
    private static final Pattern CLOSE = Pattern.compile("[a-h] (?=\\S)");

    private static final Pattern APART =
            Pattern.compile("(?<=^\\d{1,3}\\s{1,4}|^|\\s{2}|\\t)([A-Ha-h])(?:\\s+)(?=[^\\s_.\u2026])");

    /** The first letter by itself: without it no run begins, and most lines lack it. */
    private static final Pattern FIRST = Pattern.compile("[Aa]\\s");

    /** "2  A broke  B cut C tore D fell": four letters in a row, behind a number, need no wide space. */
    private static final Pattern CLOSE_TOGETHER = Pattern.compile(
            "\\d{1,3}[.)]?\\s+(A)\\s+[^\\s.?]+(?:\\s[^\\s.?]+){0,3}\\s+(B)\\s+[^\\s.?]+(?:\\s[^\\s.?]+){0,3}\\s+(C)\\s+[^\\s.?]+(?:\\s[^\\s.?]+){0,3}\\s+(D)\\s+[^\\s.?]+(?:\\s[^\\s.?]+){0,3}\\s*");

    /** "A       B       C" and nothing else: letters over pictures. */
    private static final Pattern LETTERS_ALONE = Pattern.compile(
            "\\s*[(]?[Aa][).]?(?:\\s{2,}|\\t)\\s*[(]?[Bb][).]?(?:(?:\\s{2,}|\\t)\\s*[(]?[C-Fc-f][).]?){0,4}\\s*");

    /** "C       D": those of the next row. */
    private static final Pattern LETTERS_GOING_ON =
            Pattern.compile("\\s*[(]?[C-Gc-g][).]?(?:(?:\\s{2,}|\\t)\\s*[(]?[D-Hd-h][).]?){1,4}\\s*");

    private static final Pattern LETTER_ALONE = Pattern.compile("^[(\\[]?([A-Za-z])[).\\]]?$");

    private static final Pattern WORD = Pattern.compile("\\S+");

    private static final Pattern PAIR =
            Pattern.compile("\\s*([ACEG])\\s+\\S.{0,80}?(?:\\s{2,}|\\t)\\s*([BDFH])\\s+\\S.{0,80}");

    private static final int MOST_BETWEEN = 12;

    /** Two capitals far apart may be anything; two small ones with wide spaces behind them are parts. */
    private static final int FEWEST_APART = 3;

    private static final String OVER = "A over a picture";

    /** The shape of a letter below its picture. */
    public static final String BELOW = "A below a picture";

    private BareLetters() {}

    /** Adds a label to each piece of such a run of at least two; "A" alone is a word. */
    public static void label(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            run(all, i, 'A');
            run(all, i, 'a');
            overPictures(all, i);
            besidePictures(all, i);
        }
    }

    /** "A" with a picture below it, "B" with the next: each alone on its line. */
    private static void overPictures(List<Cues> all, int from) {
        int count = 0;
        while (from + 2 * count + 1 < all.size()
                && isAlone(all.get(from + 2 * count), count)
                && all.get(from + 2 * count + 1).is(Cues.Trait.FIGURE_ONLY)) {
            count++;
        }
        alone(all, IntStream.range(0, count).mapToObj(i -> from + 2 * i).toList(), OVER);
    }

    /** "A   B   C" on one line or in one row of a table, over or below as many pictures; "D   E   F" in the next row may go on. */
    private static void besidePictures(List<Cues> all, int from) {
        int first = lettersBeside(all, from, 0);
        int above = 0;
        while (first > 0 && from > above && all.get(from - above - 1).is(Cues.Trait.FIGURE_ONLY)) {
            above++;
        }
        List<Integer> below = above >= first ? rows(all, from - first, true) : List.of();
        List<Integer> over = below.isEmpty() ? rows(all, from, false) : List.of();
        if (!below.isEmpty() && (above == first || below.size() > first)) {
            alone(all, below, BELOW);
        } else {
            alone(all, over, OVER);
        }
    }

    /** The places of letters that count on in rows, each row over or below as many pictures; empty where a picture has no letter. */
    private static List<Integer> rows(List<Cues> all, int from, boolean below) {
        List<Integer> letters = new ArrayList<>();
        int at = from;
        while (at < all.size()) {
            int begin = below ? at + picturesFrom(all, at) : at;
            int count = lettersBeside(all, begin, letters.size());
            int pictures = below ? begin - at : picturesFrom(all, begin + count);
            if (count == 0 || pictures != count) {
                break;
            }
            for (int i = 0; i < count; i++) {
                letters.add(begin + i);
            }
            at += 2 * count;
        }
        return picturesFrom(all, at) > 0 ? List.of() : letters;
    }

    private static int picturesFrom(List<Cues> all, int from) {
        int count = 0;
        while (from + count < all.size() && all.get(from + count).is(Cues.Trait.FIGURE_ONLY)) {
            count++;
        }
        return count;
    }

    /** How many letters stand alone beside one another from there on, the first of them at that place of the alphabet. */
    private static int lettersBeside(List<Cues> all, int from, int place) {
        int count = 0;
        while (from + count < all.size()
                && isBeside(all.get(from), all.get(from + count))
                && isAlone(all.get(from + count), place + count)) {
            count++;
        }
        return count;
    }

    private static boolean isBeside(Cues first, Cues cues) {
        Optional<Cell> cell = cues.line().layout().cell();
        return cues.line() == first.line()
                || first.line()
                        .layout()
                        .cell()
                        .filter(here -> cell.filter(other -> other.table() == here.table() && other.row() == here.row())
                                .isPresent())
                        .isPresent();
    }

    static boolean isAlone(Cues cues, int place) {
        String text = cues.text();
        if (text.isEmpty() || text.length() > "(A)".length() || cues.lead().isPresent()) {
            return false;
        }
        String letter = LETTER_ALONE.matcher(text).replaceFirst("$1");
        return letter.length() == 1 && Character.toUpperCase(letter.charAt(0)) == 'A' + place;
    }

    static void alone(List<Cues> all, List<Integer> places, String shape) {
        for (int place = 0; place < places.size() && places.size() > 1; place++) {
            Cues cues = all.get(places.get(place));
            int begin = cues.piece().segment().from();
            int end = cues.piece().segment().to();
            String letter = cues.text().replaceAll("\\W", "");
            all.set(
                    places.get(place),
                    cues.withLabels(List.of(new Label(Label.Kind.LETTER, place + 1, letter, shape, begin, end))));
        }
    }

    private static void run(List<Cues> all, int from, char first) {
        List<Integer> places = new ArrayList<>();
        int at = from;
        while (at < all.size() && isLetter(all.get(at), (char) (first + places.size()))) {
            places.add(at);
            at++;
            int next = at;
            // Below small letters there may be room to write, and what wraps.
            while (first == 'a' && next < all.size() && next - at < MOST_BETWEEN && isBetween(all.get(next))) {
                next++;
            }
            at = next < all.size() && isLetter(all.get(next), (char) (first + places.size())) ? next : at;
        }
        boolean close = places.stream().anyMatch(i -> isClose(all.get(i)));
        int fewest = close ? FEWEST_APART : FEWEST_APART - 1;
        for (int i = 0; i < places.size() && places.size() >= fewest; i++) {
            add(all, places.get(i), i + 1);
        }
    }

    private static boolean isClose(Cues cues) {
        Matcher matcher = CLOSE.matcher(cues.text());
        return matcher.region(signEnd(cues), cues.text().length()).lookingAt();
    }

    private static boolean isBetween(Cues cues) {
        boolean room = cues.is(Cues.Trait.WRITING_LINE) || cues.is(Cues.Trait.POINTS_ONLY);
        boolean wrapped = cues.labels().isEmpty()
                && cues.is(Cues.Trait.STARTS_LOWER)
                && cues.lead().isEmpty();
        return cues.line().layout().cell().isEmpty()
                && (room || wrapped && !BARE.matcher(cues.text()).lookingAt());
    }

    /** "A wax     B honey" right above "C comb     D pollen": where the second of two letters begins; empty elsewhere. */
    static List<Integer> pairCut(List<Line> lines, int place) {
        Optional<MatchResult> here = pair(lines, place);
        if (here.isEmpty()) {
            return List.of();
        }
        char first = here.get().group(1).charAt(0);
        boolean above = pair(lines, place - 1)
                .filter(pair -> pair.group(1).charAt(0) == first - 2)
                .isPresent();
        boolean below = pair(lines, place + 1)
                .filter(pair -> pair.group(1).charAt(0) == first + 2)
                .isPresent();
        return first == 'A' && below || first > 'A' && above
                ? List.of(here.get().start(2))
                : List.of();
    }

    private static Optional<MatchResult> pair(List<Line> lines, int place) {
        Matcher pair = PAIR.matcher(
                place < 0 || place >= lines.size() ? "" : lines.get(place).text());
        boolean counts =
                pair.matches() && pair.group(2).charAt(0) == pair.group(1).charAt(0) + 1;
        return counts ? Optional.of(pair.toMatchResult()) : Optional.empty();
    }

    private static boolean countOn(String text) {
        String letters = text.replaceAll("\\P{L}", "");
        return IntStream.range(1, letters.length()).allMatch(i -> letters.charAt(i) == letters.charAt(i - 1) + 1);
    }

    /** Where on one line "A make    B do    C build" is cut; empty where no such letters stand far apart in a row. */
    static List<Integer> cuts(String text) {
        if (LETTERS_ALONE.matcher(text).matches()
                || LETTERS_GOING_ON.matcher(text).matches() && countOn(text)) {
            return WORD.matcher(text)
                    .results()
                    .map(MatchResult::start)
                    .filter(start -> start > 0)
                    .toList();
        }
        if (CLOSE_TOGETHER.matcher(text).matches()) {
            return closeTogether(text);
        }
        boolean wide = text.indexOf('\t') >= 0 || text.contains("  ");
        if (!wide || !FIRST.matcher(text).find()) {
            return List.of();
        }
        List<Integer> starts = new ArrayList<>();
        boolean close = false;
        Matcher matcher = APART.matcher(text);
        while (matcher.find()) {
            String letter = matcher.group(1);
            boolean small = Character.isLowerCase(letter.charAt(0));
            boolean next = Character.toUpperCase(letter.charAt(0)) == 'A' + starts.size();
            if (next) {
                close |= small && matcher.group().length() <= 2;
                starts.add(matcher.start());
            }
        }
        boolean small = !starts.isEmpty() && Character.isLowerCase(text.charAt(starts.get(0)));
        return starts.size() >= (small && !close ? FEWEST_APART - 1 : FEWEST_APART)
                ? starts.stream().filter(start -> start > 0).toList()
                : List.of();
    }

    private static List<Integer> closeTogether(String text) {
        Matcher matcher = CLOSE_TOGETHER.matcher(text);
        List<Integer> starts = new ArrayList<>();
        for (int group = 1; matcher.matches() && group <= matcher.groupCount(); group++) {
            starts.add(matcher.start(group));
        }
        return starts.stream().filter(start -> start > 0).toList();
    }

    private static boolean isLetter(Cues cues, char letter) {
        Matcher matcher = BARE.matcher(cues.text());
        matcher.region(signEnd(cues), cues.text().length());
        return cues.labels().isEmpty()
                && matcher.lookingAt()
                && printed(matcher).charAt(0) == letter;
    }

    /** Where the text begins behind a star that marks it. */
    private static int signEnd(Cues cues) {
        String text = cues.text();
        int at = 0;
        while (at < text.length() && text.charAt(at) == '*') {
            at++;
        }
        return at;
    }

    private static String printed(Matcher matcher) {
        return matcher.group(1) == null ? matcher.group(2) : matcher.group(1);
    }

    private static void add(List<Cues> all, int at, int ordinal) {
        Cues cues = all.get(at);
        int from = cues.piece().segment().from();
        while (Character.isWhitespace(cues.line().text().charAt(from))) {
            from++;
        }
        from += signEnd(cues);
        Matcher matcher = BARE.matcher(cues.line().text())
                .region(from, cues.piece().segment().to());
        if (matcher.lookingAt()) {
            List<Label> labels = new ArrayList<>(List.of(new Label(
                    Label.Kind.LETTER,
                    ordinal,
                    printed(matcher),
                    Character.isLowerCase(printed(matcher).charAt(0)) ? "a" : "A",
                    from,
                    matcher.end())));
            all.set(at, cues.withLabels(labels));
        }
    }
}
