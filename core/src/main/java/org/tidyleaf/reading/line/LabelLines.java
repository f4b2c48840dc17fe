package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Chapter: 2   Level: A": several fields with their names on one line, the same names again and again below the
 * questions, are an author's labels, whatever the names are.
 */
public final class LabelLines {

    private static final String NAME = "(\\p{L}[\\p{L}.]{1,13}|\\p{L}{2,10}\\s\\p{L}{2,10})\\s?[:=]\\s{0,3}";
    private static final Pattern FIELDS =
            Pattern.compile(NAME + "\\S.{0,60}?(?:\\t|\\s{2,}|\\s?[|;]\\s)\\s*" + NAME + "\\S.*");

    /** "(Long answer)": how the question above is to be answered. */
    private static final Pattern TYPE_ONLY =
            Vocabulary.pattern("[(\\[]\\s*" + Vocabulary.ALL.either("type_head") + "\\s*[)\\]]");

    private static final Pattern TYPE_ALONE = Vocabulary.pattern(Vocabulary.ALL.either("type_head"));

    /** "REF: p. 12": one field with a short value. */
    private static final Pattern FIELD = Pattern.compile(NAME + "\\S.{0,40}");

    /** "WB-101 / Safety / v2": where the author keeps the question. */
    private static final Pattern CODE = Pattern.compile(
            "[A-Z]{2,4}[-_ ]?\\d{2,5}(?:\\s*[/|\u00b7,\u2013-]\\s*[\\p{L}\\d][\\p{L}\\d .]{0,20}){0,4}");

    /** A line of fields that stands but once may be part of anything. */
    private static final int AGAIN = 2;

    /** Below so many answers or questions, a field that is none is the author's own. */
    private static final int BELOW_ANSWERS = 3;

    private LabelLines() {}

    public static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            String text = all.get(i).text();
            boolean bracketed = text.startsWith("(") || text.startsWith("[");
            if (bracketed && TYPE_ONLY.matcher(text).matches() || isTypeBelowNumber(all, i)) {
                int end = all.get(i).piece().segment().to();
                all.set(i, all.get(i).withLead(new Cues.Lead(Cues.Announces.LABEL, end)));
            }
        }
        Map<String, Integer> seen = new HashMap<>();
        all.forEach(cues -> name(cues).ifPresent(name -> seen.merge(name, 1, Integer::sum)));
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (name(cues).filter(name -> seen.get(name) >= AGAIN).isPresent()) {
                int end = cues.piece().segment().to();
                all.set(i, cues.withLead(new Cues.Lead(Cues.Announces.LABEL, end)));
            }
        }
        codes(all);
        belowAnswers(all);
        belowQuestions(all);
    }

    /** "CO: 2" and "BL: 4" right above the next number, question after question, each once for each of them. */
    private static void belowQuestions(List<Cues> all) {
        Map<String, List<Integer>> below = new HashMap<>();
        for (int i = 1; i <= all.size(); i++) {
            boolean over = i == all.size()
                    || all.get(i).has(Label.Kind.NUMBER)
                    || all.get(i).is(Cues.Trait.HEADING);
            Map<String, Integer> group = new HashMap<>();
            int at = i - 1;
            while (over && at > 0 && isShortField(all.get(at)) && group.put(fieldName(all.get(at)), at) == null) {
                at--;
            }
            // "Given: 5 m" right below what is asked is a part of it.
            boolean answered = !group.isEmpty() && isWhereQuestionsEnd(all.get(at));
            (answered ? group : Map.<String, Integer>of())
                    .forEach((name, place) -> below.computeIfAbsent(name, any -> new ArrayList<>())
                            .add(place));
        }
        mark(all, below);
    }

    /** An option, an answer, or room for one. */
    private static boolean isWhereQuestionsEnd(Cues cues) {
        return cues.has(Label.Kind.LETTER)
                || cues.has(Label.Kind.BOX)
                || cues.lead().isPresent()
                || cues.is(Cues.Trait.WRITING_LINE)
                || cues.is(Cues.Trait.GAP);
    }

    private static boolean isShortField(Cues cues) {
        return isFree(cues)
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Cues.Trait.ENDS_SENTENCE)
                && !cues.is(Cues.Trait.GAP)
                && !cues.is(Cues.Trait.WRITING_LINE)
                && FIELD.matcher(cues.text()).matches();
    }

    private static String fieldName(Cues cues) {
        Matcher field = FIELD.matcher(cues.text());
        return field.matches() ? field.group(1).toLowerCase(Locale.ROOT) : "";
    }

    private static void mark(List<Cues> all, Map<String, List<Integer>> fields) {
        for (List<Integer> places : fields.values()) {
            for (int place : places.size() >= BELOW_ANSWERS ? places : List.<Integer>of()) {
                int end = all.get(place).piece().segment().to();
                all.set(place, all.get(place).withLead(new Cues.Lead(Cues.Announces.LABEL, end)));
            }
        }
    }

    /** "QUESTION 3" and below it "DRAG AND DROP": what stands there alone asks nothing. */
    private static boolean isTypeBelowNumber(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        return piece > 0
                && cues.is(Cues.Trait.TYPE_HEAD)
                && cues.labels().isEmpty()
                && !cues.is(Cues.Trait.ENDS_SENTENCE)
                && TYPE_ALONE.matcher(cues.text()).matches()
                && all.get(piece - 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                                && label.end()
                                        >= all.get(piece - 1).piece().segment().to());
    }

    /** Codes with a line of their own between questions, one for each. */
    private static void codes(List<Cues> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            boolean below = i + 1 == all.size() || all.get(i + 1).number().isPresent();
            boolean bare = all.get(i).line().layout().cell().isEmpty()
                    && all.get(i).lead().isEmpty();
            if (below && bare && CODE.matcher(all.get(i).text()).matches()) {
                found.add(i);
            }
        }
        if (found.size() >= AGAIN) {
            found.forEach(i -> all.set(
                    i,
                    all.get(i)
                            .withLabels(List.of())
                            .withLead(new Cues.Lead(
                                    Cues.Announces.LABEL,
                                    all.get(i).piece().segment().to()))));
        }
    }

    /** "ANSWER: b" and below it "REF: p. 12", question after question: what stands there with a name is no answer. */
    private static void belowAnswers(List<Cues> all) {
        Map<String, List<Integer>> below = new HashMap<>();
        for (int i = 1; i < all.size(); i++) {
            Cues above = all.get(i - 1);
            boolean answered = above.lead()
                    .filter(lead -> lead.announces() != Cues.Announces.HINT)
                    .isPresent();
            Matcher field = FIELD.matcher(all.get(i).text());
            if (answered && isFree(all.get(i)) && field.matches() && all.get(i).spaceBefore() == 0) {
                int place = i;
                below.computeIfAbsent(field.group(1).toLowerCase(Locale.ROOT), name -> new ArrayList<>())
                        .add(place);
            }
        }
        mark(all, below);
    }

    private static boolean isFree(Cues cues) {
        return cues.lead().isEmpty()
                && !cues.is(Cues.Trait.FILL_IN)
                && cues.labels().isEmpty();
    }

    private static Optional<String> name(Cues cues) {
        if (!isFree(cues)) {
            return Optional.empty();
        }
        Matcher matcher = FIELDS.matcher(cues.text());
        return matcher.matches() ? Optional.of(matcher.group(1).toLowerCase(Locale.ROOT)) : Optional.empty();
    }
}
