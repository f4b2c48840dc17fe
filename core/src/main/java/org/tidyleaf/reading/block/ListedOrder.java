package org.tidyleaf.reading.block;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Put in order, smallest first: metre, millimetre, inch": what is to be put in order stands in the sentence itself. */
public final class ListedOrder {

    private static final Pattern LISTED =
            Vocabulary.pattern("(.*\\b" + Vocabulary.ALL.either("order") + "\\b[^:]*:)\\s*([^:?]{5,200}?)[.]?\\s*");

    /** "Put in order. metre / millimetre / inch": strokes list without a colon. */
    private static final Pattern IN_STROKES = Vocabulary.pattern("(.*\\b" + Vocabulary.ALL.either("order")
            + "\\b[^:./]*[.:])\\s*([^:?./]+(?:\\s+/\\s+[^:?./]+){2,12})[.]?\\s*");

    /** The same where the list has a line of its own: "45 cm     0.4 m     390 mm" or "4 kg, 450 g, 0.5 kg". */
    private static final Pattern IN_LINE =
            Vocabulary.pattern("(.*\\b" + Vocabulary.ALL.either("order") + "\\b[^:/]*[.:])\\s*\\n\\s*([^\\n]+)");

    /** What parts a line into what is to be put in order. */
    private static final Pattern APART =
            Pattern.compile("\\s*\\t\\s*|\\s{3,}|;\\s+|,\\s+|\\s+/\\s+|\\s+[<>\u2013]\\s+");

    private static final int LONGEST_ITEM = 30;

    private static final String BETWEEN = "\\s*[;,>\u2192<]\\s*|\\s+/\\s+|\\s+[\u2013-]\\s+";

    private static final Pattern ASKED = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("order") + "\\b");

    private static final Pattern LABELLED = Pattern.compile("(?<=^|\\s)\\(([A-Z])\\)\\s+(?=\\S)");

    private static final Pattern LETTER = Pattern.compile("\\b[A-Z]\\b");

    private static final int FEWEST = 3;

    private ListedOrder() {}

    /** Whether a line is nothing but short things to be put in order. */
    static boolean isList(String line) {
        List<String> items = items(line);
        return items.size() >= FEWEST
                && items.stream()
                        .allMatch(item -> !item.isBlank()
                                && item.length() <= LONGEST_ITEM
                                && !item.contains("__")
                                && !item.matches(".*[?!:].*|.*\\p{L}{2}[.]\\s.*"));
    }

    private static List<String> items(String line) {
        return Arrays.stream(APART.split(line.strip().replaceFirst("(?<=\\p{L}{3})[.]$", "")))
                .map(String::strip)
                .toList();
    }

    /** The order asked for; empty where the sentence lists nothing, or its key is no order of what it lists. */
    public static Optional<Order> find(Particulars particulars, GatheredKey key) {
        String asked = particulars.stem().typed();
        Optional<Order> labelled = labelled(particulars, key);
        if (labelled.isPresent()) {
            return labelled;
        }
        if (asked.indexOf(':') < 0 && asked.indexOf('/') < 0 && asked.indexOf('\n') < 0) {
            return Optional.empty();
        }
        Matcher strokes = IN_STROKES.matcher(asked);
        Matcher inLine = IN_LINE.matcher(asked);
        boolean ownLine = inLine.matches() && isList(inLine.group(2));
        Matcher listed = ownLine ? inLine : strokes.matches() ? strokes : LISTED.matcher(asked);
        boolean lists = ownLine || asked.indexOf(':') >= 0 || asked.indexOf('/') >= 0;
        if (!lists || particulars.stem().gapCount() > 0 || !listed.matches()) {
            return Optional.empty();
        }
        List<String> items = ownLine ? items(listed.group(2)) : split(listed.group(2));
        List<String> said = key.text().map(ListedOrder::split).orElse(List.of());
        List<Integer> order = said.stream().map(word -> placeOf(word, items)).toList();
        boolean whole = order.size() == items.size() && new HashSet<>(order).size() == items.size();
        boolean known = key.text().isEmpty() || whole && !order.contains(-1);
        if (items.size() < FEWEST || !known || new HashSet<>(items).size() < items.size()) {
            return Optional.empty();
        }
        Prose lead = particulars.stem().cut(0, listed.end(1));
        return Optional.of(new Order(
                particulars.withStem(lead),
                items.stream().map(Prose::of).toList(),
                key.text().isEmpty() ? List.of() : order));
    }

    /** "Arrange in the order of use. (P) sand (Q) cut (R) mark" with the key "R Q P": steps by letters that count on within the sentence. */
    private static Optional<Order> labelled(Particulars particulars, GatheredKey key) {
        String asked = particulars.stem().typed();
        List<MatchResult> steps = LABELLED.matcher(asked).results().toList();
        boolean countOn = steps.size() >= FEWEST
                && IntStream.range(1, steps.size()).allMatch(i -> letter(steps.get(i)) == letter(steps.get(i - 1)) + 1);
        if (!countOn || !ASKED.matcher(asked.substring(0, steps.get(0).start())).find()) {
            return Optional.empty();
        }
        List<Integer> order = LETTER.matcher(key.text().orElse(""))
                .results()
                .map(found -> found.group().charAt(0) - letter(steps.get(0)))
                .toList();
        boolean whole = order.size() == steps.size()
                && new HashSet<>(order).size() == order.size()
                && order.stream().allMatch(place -> place >= 0 && place < steps.size());
        if (!whole && key.text().isPresent()) {
            return Optional.empty();
        }
        List<Prose> items = IntStream.range(0, steps.size())
                .mapToObj(i -> asked.substring(
                        steps.get(i).end(),
                        i + 1 < steps.size() ? steps.get(i + 1).start() : asked.length()))
                .map(text -> Prose.of(text.strip().replaceFirst("[,;]$", "")))
                .toList();
        Prose lead = particulars
                .stem()
                .cut(0, asked.substring(0, steps.get(0).start()).stripTrailing().length());
        return Optional.of(new Order(particulars.withStem(lead), items, whole ? order : List.of()));
    }

    private static char letter(MatchResult step) {
        return step.group(1).charAt(0);
    }

    private static List<String> split(String text) {
        return Arrays.stream(text.strip().replaceAll("[.]$", "").split(BETWEEN))
                .map(String::strip)
                .toList();
    }

    /** "wedge, centre, open": each step by a word or some that no other step has; empty where that does not settle all. */
    public static List<Integer> byWords(String said, List<Prose> items) {
        List<Integer> order = split(said).stream()
                .map(part -> onlyPlaceOf(AnswerParser.bare(part), items))
                .toList();
        boolean whole =
                order.size() == items.size() && !order.contains(-1) && new HashSet<>(order).size() == items.size();
        return whole ? order : List.of();
    }

    private static int onlyPlaceOf(String words, List<Prose> items) {
        List<Integer> places = IntStream.range(0, items.size())
                .filter(i -> (" " + AnswerParser.bare(items.get(i).plain()) + " ").contains(" " + words + " "))
                .boxed()
                .toList();
        List<Integer> same = places.stream()
                .filter(i -> AnswerParser.bare(items.get(i).plain()).equals(words))
                .toList();
        List<Integer> found = same.isEmpty() ? places : same;
        return found.size() == 1 ? found.get(0) : -1;
    }

    private static int placeOf(String word, List<String> items) {
        for (int i = 0; i < items.size(); i++) {
            if (AnswerParser.bare(items.get(i)).equals(AnswerParser.bare(word))) {
                return i;
            }
        }
        return -1;
    }
}
