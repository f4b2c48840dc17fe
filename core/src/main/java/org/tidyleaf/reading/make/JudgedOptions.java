package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;

/**
 * "1. The queen   a) lays eggs   T   b) flies daily   F": lettered statements below a number, each judged behind a wide
 * space, are the rows of a grid.
 */
final class JudgedOptions {

    /** Two lettered lines with words like these behind them may be anything. */
    private static final int FEWEST = 3;

    private static final Pattern JUDGED =
            Pattern.compile("(.*\\S)(?:\\t|\\s{3,}|\\s+(?=[(\\[]))[(\\[]?\\s*(\\p{L}{1,12})\\s*[)\\]]?\\s*");

    private static final Pattern TO_JUDGE = Pattern.compile(
            "(.*\\S)(?:\\t|\\s{3,}|\\s+(?=[(\\[]))[(\\[]?\\s*(\\p{L}{1,12})\\s*(?:/|\\s)\\s*(\\p{L}{1,12})\\s*[)\\]]?\\s*");

    private final ProseMaker prose;

    JudgedOptions(ProseMaker prose) {
        this.prose = prose;
    }

    /** The grid that the options make; empty where not every one of them is judged. */
    Optional<Grid> find(Draft draft, Particulars particulars) {
        return draft.options.size() < FEWEST
                ? Optional.empty()
                : judged(draft, particulars).or(() -> toJudge(draft, particulars));
    }

    private Optional<Grid> judged(Draft draft, Particulars particulars) {
        List<Matcher> matchers = matching(draft, JUDGED);
        for (String[] pair : matchers.isEmpty() ? List.<String[]>of() : pairs()) {
            List<Set<Integer>> key = new ArrayList<>();
            for (Matcher matcher : matchers) {
                int place = place(matcher.group(2), pair);
                if (place >= 0) {
                    key.add(Set.of(place));
                }
            }
            // Statements that are all alike would not be asked for; "(R)" behind all of them is something else.
            if (key.size() == matchers.size() && Set.copyOf(key).size() == 2) {
                return Optional.of(new Grid(particulars, heads(pair, matchers), rows(draft, matchers), key));
            }
        }
        return Optional.empty();
    }

    private Optional<Grid> toJudge(Draft draft, Particulars particulars) {
        List<Matcher> matchers = matching(draft, TO_JUDGE);
        for (String[] pair : matchers.isEmpty() ? List.<String[]>of() : pairs()) {
            boolean all = matchers.stream()
                    .allMatch(matcher -> place(matcher.group(2), pair) == 0 && place(matcher.group(3), pair) == 1);
            if (all) {
                return Optional.of(new Grid(particulars, heads(pair, matchers), rows(draft, matchers), List.of()));
            }
        }
        return Optional.empty();
    }

    private List<Matcher> matching(Draft draft, Pattern pattern) {
        List<Matcher> matchers = new ArrayList<>();
        for (Draft.OptionDraft option : draft.options) {
            Segment last = option.segments.get(option.segments.size() - 1);
            String text = prose.raw(last);
            boolean apart =
                    text.indexOf('\t') >= 0 || text.contains("   ") || text.indexOf('(') > 0 || text.indexOf('[') > 0;
            Matcher matcher = pattern.matcher(text);
            if (!apart || !matcher.matches()) {
                return List.of();
            }
            matchers.add(matcher);
        }
        return matchers;
    }

    private List<Prose> rows(Draft draft, List<Matcher> matchers) {
        List<Prose> rows = new ArrayList<>();
        for (int i = 0; i < matchers.size(); i++) {
            List<Segment> segments = new ArrayList<>(draft.options.get(i).segments);
            Segment last = segments.remove(segments.size() - 1);
            segments.add(new Segment(
                    last.line(), last.from(), last.from() + matchers.get(i).end(1)));
            rows.add(prose.text(segments));
        }
        return rows;
    }

    /** 0 for the affirming word of the pair or its first letter, 1 for the other, -1 for anything else. */
    private static int place(String said, String[] pair) {
        for (int i = 0; i < 2; i++) {
            String word = said.toLowerCase(Locale.ROOT);
            boolean letter =
                    said.length() == 1 && said.equals(pair[i].substring(0, 1).toUpperCase(Locale.ROOT));
            if (word.equals(pair[i]) || letter) {
                return i;
            }
        }
        return -1;
    }

    /** Letters alone stand for true and false, in whatever language. */
    private static List<Prose> heads(String[] pair, List<Matcher> judged) {
        boolean letters = judged.stream().allMatch(matcher -> matcher.group(2).length() == 1);
        return Stream.of(
                        letters
                                ? new String[] {"True", "False"}
                                : new String[] {JudgedBy.capital(pair[0]), JudgedBy.capital(pair[1])})
                .map(Prose::of)
                .toList();
    }

    private static List<String[]> pairs() {
        return Vocabulary.ALL.pairs();
    }
}
