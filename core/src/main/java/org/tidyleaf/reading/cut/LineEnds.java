package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.TypeLabels;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;

/** What stands far behind options or a question on its line and is a piece of its own: the answer, the points, the key's letter. */
final class LineEnds {

    private static final Pattern ANSWER_BEHIND = Vocabulary.pattern("((?<=[.?!:_\u2026)])\\s+|\\s{2,}|\\s)([(\\[]?(?:"
            + Vocabulary.ALL.either("answer", "model") + "\\.?\\s*[:=]|"
            + Vocabulary.ALL.either("answer_initial") + ":)\\s*\\S)");

    /** "d) ash      Ans. b" needs no colon. */
    private static final Pattern WIDE_ANSWER =
            Vocabulary.pattern("(\\t\\s*|\\s{3,})(" + Vocabulary.ALL.either("answer") + "\\.\\s+\\S)");

    /** A line that announces what it says is of one piece. */
    private static final Pattern ANNOUNCED = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("answer", "model", "feedback", "hint", "label", "list") + "\\.?\\s*[:=(]");

    private static final Pattern POINTS_FAR =
            Pattern.compile("[^\\s.?!](?:\\s{5,}|\\s?\\t\\s?)([(\\[]\\d{1,2}[)\\]])\\s*$");

    /** The same behind a whole sentence, which only a bare letter shows to be an option and no part. */
    private static final Pattern POINTS_FAR_BEHIND_SENTENCE =
            Pattern.compile("[A-H]\\s{1,6}[^(\\[]*[.]\\s{12,}([(\\[]\\d{1,2}[)\\]])\\s*$");

    private static final Pattern KEY_FAR =
            Pattern.compile("\\S(?:(?:\\s{3,}|\\s?\\t\\s?)(?=[(\\[])|\\s+(?=\\[))([(\\[]\\s?[A-Ha-h]\\s?[)\\]])\\s*$");

    /** "a) 2   b) 5   → b": behind the options an arrow to the right one. */
    private static final Pattern ARROW_KEY = Pattern.compile("\\s+((?:\u2192|->|=>|\u21d2)\\s*[A-Ha-h])[).]?\\s*$");

    /** "(1) spring   (2) autumn        [ 2 ]": a box with the number of the right one. */
    private static final Pattern BOXED_KEY = Pattern.compile("\\S(?:\\s{3,}|\\s?\\t\\s?)(\\[\\s+\\d\\s+])\\s*$");

    /**
     * "2,5 m = ______ cm        (250)": far behind the gap the number that goes into it, where that can't be points. A word
     * there may as well be the one to put into another form ("She ______ home.        (go)").
     */
    private static final Pattern GAP_KEY_FAR = Pattern.compile(
            "(?:_{2,}|\\.{4,}|\u2026)[^_(]*?(?:\\s{3,}|\\s?\\t\\s?)([(\\[](?!\\s*[1-9]\\d?\\s*[)\\]])\\s*-?\\d[\\d.,]*(?:\\s?\\p{L}{1,3})?\\s*[)\\]])\\s*$");

    /** "… is ______.    [nectar]": far behind a gap or a whole sentence, in brackets that no cue word stands in. */
    private static final Pattern GAP_WORD_FAR = Pattern.compile(
            "(?:_{3,}|\\.{5,}|\u2026|[.?!](?=\\s))[^_\\[]*?(?:\\s{3,}|\\s?\\t\\s?)(\\[\\s*\\p{L}{2}[^\\[\\]]{0,40}])\\s*$");

    /** "… in about ......    ( 24 )": with blanks inside of the bracket as well. */
    private static final Pattern GAP_KEY_SPACED = Pattern.compile(
            "(?:_{2,}|\\.{4,}|\u2026)[^_(]*?(?:\\s{3,}|\\s?\\t\\s?)(\\(\\s+[^\\s()][^()]{0,40}\\s+\\))\\s*$");

    private static final Pattern NUMERAL = Pattern.compile("[(\\[]?[ivxIVX]+[.)\\]]");

    private static final Pattern FAR = Pattern.compile("\\s{3,}|\\s?\\t");

    /** A longer line is no question with its key, and one made of nothing but dots would keep the patterns busy for minutes. */
    private static final int LONGEST_SEARCHED = 2000;

    /** Behind a number alone an answer is one of a list. */
    private static final Pattern NUMBER_ONLY = Pattern.compile("[^\\p{L}_\u2026]*|\\W*\\p{L}+\\s*\\d+\\W*");

    private LineEnds() {}

    /** The cuts of a line with those before what stands at its end. */
    static List<Integer> cuts(Line line, List<Integer> cuts) {
        String text = line.text();
        if (PointsFinder.isGroupTotal(text)) {
            return cuts;
        }
        return withKey(text, withPoints(text, withAnswer(line, cuts)));
    }

    /** "a) wasps   b) bees        (b)": far behind the options the letter of the right one. */
    private static List<Integer> withKey(String text, List<Integer> cuts) {
        Matcher arrow = ARROW_KEY.matcher(text);
        if (text.length() <= LONGEST_SEARCHED && cuts.size() > 1 && arrow.find(cuts.get(cuts.size() - 1))) {
            List<Integer> all = new ArrayList<>(cuts);
            all.add(arrow.start(1));
            return all;
        }
        if (text.length() > LONGEST_SEARCHED || !endsInBracket(text)) {
            return cuts;
        }
        Matcher gap = GAP_KEY_FAR.matcher(text);
        if (cuts.isEmpty() && gap.find() && isAnswer(gap.group(1))) {
            return List.of(gap.start(1));
        }
        Matcher spaced = GAP_KEY_SPACED.matcher(text);
        if (cuts.isEmpty() && spaced.find()) {
            return List.of(spaced.start(1));
        }
        Matcher word = GAP_WORD_FAR.matcher(text);
        if (cuts.isEmpty() && text.endsWith("]") && word.find()) {
            return List.of(word.start(1));
        }
        Matcher letter = KEY_FAR.matcher(text);
        Matcher key = letter.find() ? letter : BOXED_KEY.matcher(text);
        boolean behind = cuts.size() > 1 && key.find(0) && key.start(1) > cuts.get(cuts.size() - 1);
        if (!behind) {
            return cuts;
        }
        List<Integer> all = new ArrayList<>(cuts);
        all.add(key.start(1));
        return all;
    }

    /** "(250)" and "(7.5 cm)", not "(2 pts)". */
    private static boolean isAnswer(String bracket) {
        return bracket.matches(".\\s*[\\d.,]+\\s*.")
                || PointsFinder.beside(bracket).isEmpty();
    }

    private static boolean endsInBracket(String text) {
        String bare = text.stripTrailing();
        return bare.endsWith(")") || bare.endsWith("]");
    }

    /** "D petal          (1)": the points far behind the last option are none of its words. */
    private static List<Integer> withPoints(String text, List<Integer> cuts) {
        if (!endsInBracket(text)) {
            return cuts;
        }
        Optional<PointsFinder.Found> worded = cuts.isEmpty()
                ? Optional.empty()
                : PointsFinder.beside(text).filter(points -> points.from() > cuts.get(cuts.size() - 1));
        boolean far = worded.isPresent()
                && FAR.matcher(text.substring(worded.get().from())).lookingAt();
        if (far || worded.isPresent() && cuts.size() > 1 && isOnlyWorth(text, cuts)) {
            // "A. oak      B. ash      (1 mark)": what the question is worth.
            List<Integer> all = new ArrayList<>(cuts);
            Matcher label = TypeLabels.TYPE_OR_DIFFICULTY
                    .matcher(text)
                    .region(0, worded.get().from());
            while (label.find()) {
                if (label.end() >= worded.get().from() && label.start() > cuts.get(cuts.size() - 1)) {
                    all.add(label.start());
                }
            }
            all.add(worded.get().from());
            return all;
        }
        Matcher sentence = POINTS_FAR_BEHIND_SENTENCE.matcher(text);
        Matcher points = sentence.lookingAt() ? sentence.reset() : POINTS_FAR.matcher(text);
        boolean option = LabelFinder.find(text, 0, text.length()).stream()
                        .anyMatch(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.BOX)
                || text.matches("[A-Ha-h]\\s.*");
        if (!option || !points.find() || !cuts.isEmpty() && points.start(1) <= cuts.get(cuts.size() - 1)) {
            return cuts;
        }
        List<Integer> all = new ArrayList<>(cuts);
        all.add(points.start(1));
        return all;
    }

    /** "5. Arrange: (a) gather, (b) blow. [2 pts]": points behind the last of what stands side by side, and behind no other. */
    private static boolean isOnlyWorth(String text, List<Integer> cuts) {
        // "(i) wax (ii) silk (2)" may be statements, and options that name them stand below.
        if (NUMERAL.matcher(text.substring(cuts.get(0))).lookingAt()) {
            return false;
        }
        for (int i = 0; i < cuts.size(); i++) {
            int from = i == 0 ? 0 : cuts.get(i - 1);
            if (PointsFinder.beside(text.substring(from, cuts.get(i))).isPresent()) {
                return false;
            }
        }
        return true;
    }

    /** "… try ______. Answer: square": the answer behind the question on its own line is a part by itself. */
    private static List<Integer> withAnswer(Line line, List<Integer> cuts) {
        String text = line.text();
        boolean told = text.indexOf(':') >= 0 || text.indexOf('=') >= 0;
        boolean wide = text.indexOf('.') > 0 && (text.contains("   ") || text.indexOf('\t') >= 0);
        if (!told && !wide) {
            return cuts;
        }
        int last = cuts.isEmpty() ? 0 : cuts.get(cuts.size() - 1);
        Matcher behind = WIDE_ANSWER.matcher(text);
        Matcher answer = wide && behind.find(last) ? behind.reset() : ANSWER_BEHIND.matcher(text);
        boolean found = !ANNOUNCED.matcher(text).lookingAt() && answer.find(last);
        while (found && !isApart(line, answer)) {
            found = answer.find();
        }
        if (!found || NUMBER_ONLY.matcher(text.substring(0, answer.start())).matches()) {
            return cuts;
        }
        List<Integer> all = new ArrayList<>(cuts);
        all.add(answer.start(2));
        return all;
    }

    /** Behind the end of a sentence, a wide space, or where the type changes. */
    private static boolean isApart(Line line, Matcher answer) {
        int at = answer.start(2);
        String before = line.text().substring(0, answer.start());
        boolean ends = before.matches("(?s).*[.?!:_\u2026)]");
        boolean changes = line.spans().stream()
                .anyMatch(span -> span.from() == at && span.figure().isEmpty());
        boolean bracketed = "[(".indexOf(line.text().charAt(at)) >= 0 && endsInBracket(line.text());
        return ends || changes || bracketed || answer.group(1).length() > 1;
    }
}
