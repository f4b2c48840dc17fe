package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.wording.NumberParser;
import org.tidyleaf.reading.wording.Vocabulary;

/** Reads accepted spellings: "colour / color", "(1) rises (2) sinks", "bedding; bed". */
public final class GapParser {

    /** "___wax___": the answer written on the rule itself; a letter between long rules stands between two of them, as in "________h________". */
    public static final String FILLED =
            "(?<!_)(?!_{8,}\\p{Ll}_{8,})_{2,}+(?<filled>[\\p{L}\\d](?:[^_]{0,40}[\\p{L}\\d%])?)_{2,}";

    /** "0,75" is one number in most languages. */
    private static final String COMMA = "\\s*(?:(?<!\\d),|,(?!\\d))\\s*";

    private static final Pattern NUMBERED = Pattern.compile("(?:^|[\\s,;])[(\\[]?(\\d{1,2})[)\\].:](?!\\d)\\s*");
    private static final Pattern ROMAN = Pattern.compile("(?:^|[\\s,;])[(\\[]?[ivx]{1,4}[)\\].:]\\s+");
    private static final Pattern LETTERED = Pattern.compile("(?:^|[\\s,;])[(\\[]?[a-h][)\\].:]\\s+");

    /** What parts spellings; an "o" that means "or" in Spanish is an article in Portuguese, so it must stand between two words. */
    private static final Pattern OTHER_SPELLING = Vocabulary.pattern(
            "\\s*(?:(?<!\\d|\\d\\s?\\p{L}{1,3})/|/(?!\\d|\\p{L}{1,3}\\b)|;|\\||(?<=[^\\s/;|,]\\s)(?<!\\b(?:e|com|de|para|por|que)\\s)(?-i:"
                    + Vocabulary.ALL.either("or") + ")(?=\\s))\\s*");

    private static final Pattern ALSO =
            Vocabulary.pattern("\\s*\\(\\s*" + Vocabulary.ALL.either("and", "accepted") + "\\b\\s*:?\\s*([^)]*)\\)");

    /** "15.9 (15.875 also accepted)". */
    private static final Pattern ALSO_BEHIND = Vocabulary.pattern(
            "\\s*\\(\\s*([^()]{1,40}?)\\s+(?:\\p{L}{1,3}\\s+)?" + Vocabulary.ALL.either("accepted") + "\\s*\\)");

    /** "colour (color)": in brackets the same word, spelled otherwise. */
    private static final Pattern SPELLED_OTHERWISE = Pattern.compile("(\\p{L}{4,})\\s*\\((\\p{L}{4,})\\)");

    /** "e.g. wax": what is said of an answer is no part of it. */
    private static final Pattern FOR_EXAMPLE = Vocabulary.pattern(Vocabulary.ALL.either("for_example") + "[.:]?\\s+");

    /** "Any two from: wax; propolis; pollen": each gap takes any of them. */
    private static final Pattern ANY_OF =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("any_of") + "\\s*:?\\s*(?<said>[^:]{3,600})");

    private static final int MOST_LETTERS_APART = 2;
    private static final int FEWEST_ALIKE = 3;

    private GapParser() {}

    /** For each of the gaps the accepted spellings; empty lists where the text is empty or has too few answers. */
    public static List<List<String>> accepted(String text, int gaps) {
        List<String> any = gaps > 1 ? anyOf(text) : List.of();
        if (any.size() >= gaps && gaps > 1) {
            return Collections.nCopies(gaps, any);
        }
        List<List<String>> result = new ArrayList<>();
        List<String> parts = gaps == 1 ? List.of(text) : parts(text, gaps);
        for (int i = 0; i < gaps; i++) {
            result.add(i < parts.size() ? spellings(parts.get(i)) : List.of());
        }
        return result;
    }

    /** The spellings of one gap where commas part them too. */
    public static List<String> listed(String text) {
        return spellings(text.replaceAll(COMMA, " / "));
    }

    /** "A = blade, B = handle", "A blade, B handle": the spellings by their labels, in whatever order; empty unless every label has its own. */
    public static Optional<List<List<String>>> lettered(String text, List<String> labels) {
        Map<String, int[]> places = new HashMap<>();
        TreeSet<Integer> starts = new TreeSet<>(Set.of(text.length()));
        for (String label : labels) {
            String sign = label.matches("\\p{Lu}")
                    ? "(?:\\s*[-\u2013:=.)]\\s*|\\s+(?=[\\p{L}\\d]))"
                    : "\\s*[-\u2013:=.)]\\s*";
            Matcher matcher = Pattern.compile("(?:^|[\\s,;(])" + Pattern.quote(label) + sign)
                    .matcher(text);
            if (!matcher.find() || places.put(label, new int[] {matcher.start(), matcher.end()}) != null) {
                return Optional.empty();
            }
            starts.add(matcher.start());
        }
        List<List<String>> result = new ArrayList<>();
        for (String label : labels) {
            int[] place = places.get(label);
            int end = starts.higher(place[0]);
            if (end < place[1]) {
                return Optional.empty();
            }
            result.add(spellings(text.substring(place[1], end)));
        }
        return Optional.of(result);
    }

    /** What stands behind "any two from"; empty where nothing says so. */
    private static List<String> anyOf(String text) {
        Matcher any = ANY_OF.matcher(text);
        if (!any.matches()) {
            return List.of();
        }
        String said = any.group("said").replaceAll("[\\s.]+$", "");
        return Stream.of(said.split(said.indexOf(';') >= 0 ? "\\s*;\\s*" : "\\s*[,/]\\s*"))
                .flatMap(part -> spellings(part.strip()).stream())
                .toList();
    }

    private static List<String> parts(String text, int gaps) {
        Matcher matcher = Stream.of(NUMBERED, ROMAN, LETTERED)
                .map(pattern -> pattern.matcher(text))
                .filter(Matcher::find)
                .findFirst()
                .orElse(LETTERED.matcher(text))
                .reset();
        List<String> parts = new ArrayList<>();
        int from = -1;
        while (matcher.find()) {
            if (from >= 0) {
                parts.add(text.substring(from, matcher.start()));
            }
            from = matcher.end();
        }
        if (from >= 0) {
            parts.add(text.substring(from));
        }
        if (parts.size() == gaps) {
            // Behind its number a gap's spellings are often parted by commas alone.
            return parts.stream().map(part -> part.replaceAll(COMMA, " / ")).toList();
        }
        List<String> counted = counted(text, gaps);
        if (!counted.isEmpty()) {
            return counted;
        }
        for (String separator : List.of(";", ",", "\\s+[-\u2013]\\s+", "/")) {
            List<String> split = List.of(text.split("\\s*" + separator + "\\s*"));
            if (split.size() == gaps) {
                return split;
            }
        }
        return List.of();
    }

    /** "1 hive, 2 wax, 3 combs": bare numbers that count exactly as many gaps; empty where they don't. */
    private static List<String> counted(String text, int gaps) {
        List<String> parts = new ArrayList<>();
        int from = -1;
        for (int number = 1; number <= gaps; number++) {
            Matcher matcher = Pattern.compile((number == 1 ? "^\\s*" : "(?<=[\\s,;])") + number + "\\s+(?=\\p{L})")
                    .matcher(text);
            if (!matcher.find(Math.max(0, from))) {
                return List.of();
            }
            if (from >= 0) {
                parts.add(text.substring(from, matcher.start()).replaceAll("[\\s,;]+$", ""));
            }
            from = matcher.end();
        }
        parts.add(text.substring(from));
        return parts;
    }

    private static List<String> spellings(String text) {
        String also = ALSO.matcher(withoutExample(text.strip())).replaceAll(" / $1");
        String behind = ALSO_BEHIND.matcher(also).replaceAll(" / $1");
        String bare = SPELLED_OTHERWISE
                .matcher(behind)
                .replaceAll(found -> isSpelledAlike(found.group(1), found.group(2)) ? "$1 / $2" : "$0")
                .replaceAll("[;,]$", "");
        return Arrays.stream(OTHER_SPELLING.split(bare))
                .map(String::strip)
                .filter(spelling -> !spelling.isEmpty())
                .distinct()
                .toList();
    }

    private static String withoutExample(String text) {
        Matcher matcher = FOR_EXAMPLE.matcher(text);
        return matcher.lookingAt() ? text.substring(matcher.end()) : text;
    }

    /** The same word but for a letter or two in one place: "unfertilised", "unfertilized". */
    private static boolean isSpelledAlike(String one, String other) {
        int start = 0;
        int shorter = Math.min(one.length(), other.length());
        while (start < shorter && one.charAt(start) == other.charAt(start)) {
            start++;
        }
        int end = 0;
        while (end < shorter - start && one.charAt(one.length() - 1 - end) == other.charAt(other.length() - 1 - end)) {
            end++;
        }
        return start + end >= FEWEST_ALIKE
                && Math.max(one.length(), other.length()) - start - end <= MOST_LETTERS_APART;
    }

    /** A single gap that wants a number and nothing else. */
    public static Question numberIfOne(TextEntry entry) {
        boolean one = entry.gaps().size() == 1 && entry.gaps().get(0).size() == 1;
        Optional<NumericEntry.Key> number =
                one ? NumberParser.key(entry.gaps().get(0).get(0)) : Optional.empty();
        return number.isPresent() ? new NumericEntry(entry.particulars(), number) : entry;
    }
}
