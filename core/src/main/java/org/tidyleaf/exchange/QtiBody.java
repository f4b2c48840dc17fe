package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.reading.Wording;

/** What candidates see and do of an item, by the type of its question: interactions, their responses and what these earn. */
final class QtiBody implements Question.Cases<Boolean> {

    static final String RESPONSE = "RESPONSE";

    private final Question question;
    private final QtiProse prose;
    private final QtiDeclarations declarations = new QtiDeclarations();
    private final XmlText body = new XmlText();
    private final QtiScoring scoring;
    private final BigDecimal most;

    QtiBody(Question question, QtiProse prose) {
        this.question = question;
        this.prose = prose;
        this.most = Marker.most(question);
        this.scoring = new QtiScoring(most);
    }

    /** The item's body so far; more may be added. */
    XmlText xml() {
        return body;
    }

    String declarations() {
        return declarations.written();
    }

    /** How the responses earn. */
    String rules() {
        return scoring.rules();
    }

    private void stem() {
        body.markup(prose.block(question.particulars().stem(), "stem"));
    }

    /** Pairs to make, each earning its share; all or nothing, or less one for each wrong, where the question says so. */
    private void declarePairs(Map<String, BigDecimal> mapping) {
        List<String> correct = List.copyOf(mapping.keySet());
        if (partial() == PartialMarks.WHOLE) {
            declarations.declare(RESPONSE, "multiple", "directedPair", correct, Map.of());
        } else {
            BigDecimal share = mapping.values().stream()
                    .findFirst()
                    .orElse(BigDecimal.ZERO)
                    .negate();
            BigDecimal other = partial() == PartialMarks.LESS_WRONG ? share : BigDecimal.ZERO;
            declarations.declare(RESPONSE, "multiple", "directedPair", correct, mapping, other);
        }
    }

    /** How what {@link #declarePairs} declared earns. */
    private void scorePairs(Map<String, BigDecimal> mapping) {
        if (mapping.isEmpty()) {
            return;
        }
        if (partial() == PartialMarks.WHOLE) {
            scoring.allOrNothing();
        } else {
            scoring.addMapped(RESPONSE);
        }
    }

    private PartialMarks partial() {
        return question.particulars().settings().partial().orElse(PartialMarks.USUAL);
    }

    /** The points in so many shares, to the hundredth; the last one takes what is left, so that all together are exact. */
    private List<BigDecimal> shares(int parts) {
        List<BigDecimal> shares = new ArrayList<>();
        BigDecimal each = parts == 0 ? BigDecimal.ZERO : most.divide(BigDecimal.valueOf(parts), 2, RoundingMode.DOWN);
        for (int i = 1; i <= parts; i++) {
            shares.add(i == parts ? most.subtract(each.multiply(BigDecimal.valueOf(parts - 1L))) : each);
        }
        return shares;
    }

    @Override
    public Boolean choice(ChoiceQuestion choice) {
        List<String> correct =
                choice.key().stream().sorted().map(QtiBody::option).toList();
        Map<String, BigDecimal> mapping = choice.takesSeveral() ? mapping(choice) : Map.of();
        declarations.declare(RESPONSE, choice.takesSeveral() ? "multiple" : "single", "identifier", correct, mapping);
        stem();
        OptionOrder order = choice.particulars().settings().order();
        body.open(
                "qti-choice-interaction",
                "response-identifier",
                RESPONSE,
                "shuffle",
                String.valueOf(order == OptionOrder.SHUFFLED),
                "max-choices",
                choice.takesSeveral() ? "0" : "1");
        for (int i = 0; i < choice.options().size(); i++) {
            Option option = choice.options().get(i);
            boolean fixed = order == OptionOrder.KEPT || Wording.refersToOthers(option);
            body.open(
                    "qti-simple-choice",
                    "identifier",
                    option(i),
                    "fixed",
                    String.valueOf(fixed),
                    "data-label",
                    option.label());
            body.markup(prose.inline(option.text()));
            if (!option.feedback().isEmpty()) {
                body.open(
                                "qti-feedback-inline",
                                "outcome-identifier",
                                "CHOSEN",
                                "identifier",
                                option(i),
                                "show-hide",
                                "show")
                        .markup(prose.inline(option.feedback()))
                        .close("qti-feedback-inline");
            }
            body.close("qti-simple-choice");
        }
        body.close("qti-choice-interaction");
        if (!mapping.isEmpty()) {
            scoring.addMapped(RESPONSE);
        } else if (!correct.isEmpty()) {
            scoring.allOrNothing();
        }
        return true;
    }

    /** A share for each right option, and where so set less one for each wrong; empty where it is all or nothing. */
    private Map<String, BigDecimal> mapping(ChoiceQuestion choice) {
        PartialMarks partial = choice.particulars().settings().partial().orElse(PartialMarks.USUAL);
        if (partial != PartialMarks.EACH_RIGHT && partial != PartialMarks.LESS_WRONG) {
            return Map.of();
        }
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        List<BigDecimal> shares = shares(choice.key().size());
        List<Integer> right = choice.key().stream().sorted().toList();
        for (int i = 0; i < choice.options().size(); i++) {
            int place = right.indexOf(i);
            if (place >= 0) {
                mapping.put(option(i), shares.get(place));
            } else if (partial == PartialMarks.LESS_WRONG && !shares.isEmpty()) {
                mapping.put(option(i), shares.get(0).negate());
            }
        }
        return mapping;
    }

    private static String option(int place) {
        return "o" + (place + 1);
    }

    /** Entries to type, each right one earning its share. */
    private void entries(List<List<String>> gaps) {
        List<BigDecimal> shares = shares(gaps.size());
        for (int i = 0; i < gaps.size(); i++) {
            Map<String, BigDecimal> mapping = new LinkedHashMap<>();
            for (String spelling : gaps.get(i)) {
                mapping.put(spelling, shares.get(i));
            }
            declarations.declare(
                    entry(i + 1),
                    "single",
                    "string",
                    gaps.get(i).stream().limit(1).toList(),
                    mapping);
            if (!mapping.isEmpty() && partial() != PartialMarks.WHOLE) {
                scoring.addMapped(entry(i + 1));
            }
        }
        boolean keyed = gaps.stream().noneMatch(List::isEmpty);
        if (partial() == PartialMarks.WHOLE && keyed) {
            scoring.allEntries(gaps.size());
        }
    }

    /** The response of a gap, counted from 1. */
    static String entry(int gap) {
        return gap == 1 ? RESPONSE : RESPONSE + gap;
    }

    private static String field(int gap) {
        return "<qti-text-entry-interaction response-identifier=\"" + entry(gap) + "\"/>";
    }

    @Override
    public Boolean textEntry(TextEntry text) {
        entries(text.gaps());
        Prose stem = text.particulars().stem();
        body.markup("<p class=\"stem\">" + prose.inline(stem, QtiBody::field) + "</p>");
        if (stem.gapCount() == 0) {
            body.markup("<p class=\"entry\">" + field(1) + "</p>");
        }
        return true;
    }

    @Override
    public Boolean numericEntry(NumericEntry number) {
        List<String> correct =
                number.key().map(key -> List.of(key.value().toPlainString())).orElse(List.of());
        declarations.declare(RESPONSE, "single", "float", correct, Map.of());
        Prose stem = number.particulars().stem();
        body.markup("<p class=\"stem\">" + prose.inline(stem, QtiBody::field) + "</p>");
        String unit = number.key().map(NumericEntry.Key::unit).orElse("");
        if (stem.gapCount() == 0) {
            body.markup("<p class=\"entry\">" + field(1) + (unit.isEmpty() ? "" : " ") + "<span class=\"unit\">"
                    + XmlText.escape(unit) + "</span></p>");
        } else if (!unit.isEmpty()) {
            body.element("p", unit, "class", "unit");
        }
        number.key().ifPresent(scoring::within);
        return true;
    }

    @Override
    public Boolean extendedText(ExtendedText text) {
        declarations.declare(RESPONSE, "single", "string", List.of(), Map.of());
        stem();
        WordLimits words = text.particulars().settings().words();
        String length = words.areNone() ? "" : " words-" + words.least() + "-" + words.most();
        body.empty(
                "qti-extended-text-interaction",
                "response-identifier",
                RESPONSE,
                "class",
                "qti-height-lines-6" + length);
        if (!text.answer().isEmpty()) {
            body.open("qti-rubric-block", "view", "scorer", "use", "scoring")
                    .open("qti-content-body")
                    .markup(prose.block(text.answer(), "model"))
                    .close("qti-content-body")
                    .close("qti-rubric-block");
        }
        return true;
    }

    @Override
    public Boolean match(Match match) {
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        List<BigDecimal> shares = shares(match.key().size());
        for (int i = 0; i < match.key().size(); i++) {
            mapping.put("l" + (i + 1) + " t" + (match.key().get(i) + 1), shares.get(i));
        }
        declarePairs(mapping);
        stem();
        sets("", match.lefts(), "1", match.targets(), "0");
        scorePairs(mapping);
        return true;
    }

    private void sets(String css, List<Prose> sources, String each, List<Prose> targets, String eachTarget) {
        body.open(
                "qti-match-interaction",
                "response-identifier",
                RESPONSE,
                "class",
                css,
                "shuffle",
                "false",
                "max-associations",
                "0");
        set("l", sources, each);
        set("t", targets, eachTarget);
        body.close("qti-match-interaction");
    }

    private void set(String prefix, List<Prose> choices, String most) {
        body.open("qti-simple-match-set");
        for (int i = 0; i < choices.size(); i++) {
            body.open("qti-simple-associable-choice", "identifier", prefix + (i + 1), "match-max", most)
                    .markup(prose.inline(choices.get(i)))
                    .close("qti-simple-associable-choice");
        }
        body.close("qti-simple-match-set");
    }

    @Override
    public Boolean order(Order order) {
        List<String> correct = order.key().stream().map(QtiBody::option).toList();
        declarations.declare(RESPONSE, "ordered", "identifier", correct, Map.of());
        stem();
        body.open("qti-order-interaction", "response-identifier", RESPONSE, "shuffle", "false");
        for (int i = 0; i < order.items().size(); i++) {
            body.open("qti-simple-choice", "identifier", option(i))
                    .markup(prose.inline(order.items().get(i)))
                    .close("qti-simple-choice");
        }
        body.close("qti-order-interaction");
        if (partial() == PartialMarks.WHOLE && !correct.isEmpty()) {
            scoring.allOrNothing();
            return true;
        }
        List<BigDecimal> shares = shares(correct.size());
        for (int i = 0; i < correct.size(); i++) {
            scoring.addAtPlace(i + 1, correct.get(i), shares.get(i));
        }
        return true;
    }

    @Override
    public Boolean grid(Grid grid) {
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        int ticks = grid.key().stream().mapToInt(Set::size).sum();
        List<BigDecimal> shares = shares(ticks);
        for (int row = 0; row < grid.key().size(); row++) {
            for (int column : grid.key().get(row).stream().sorted().toList()) {
                mapping.put("l" + (row + 1) + " t" + (column + 1), shares.get(mapping.size()));
            }
        }
        declarePairs(mapping);
        stem();
        boolean one = grid.key().stream().allMatch(key -> key.size() <= 1);
        sets("qti-match-tabular", grid.rows(), one ? "1" : "0", grid.columns(), "0");
        scorePairs(mapping);
        return true;
    }

    @Override
    public Boolean gapMatch(GapMatch gaps) {
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        List<BigDecimal> shares = shares(gaps.key().size());
        for (int i = 0; i < gaps.key().size(); i++) {
            int word = gaps.words().indexOf(gaps.key().get(i));
            if (word >= 0) {
                mapping.put("w" + (word + 1) + " g" + (i + 1), shares.get(i));
            }
        }
        bank(
                gaps.words(),
                mapping,
                "<p class=\"stem\">"
                        + prose.inline(gaps.particulars().stem(), gap -> "<qti-gap identifier=\"g" + gap + "\"/>")
                        + "</p>");
        return true;
    }

    private void bank(List<String> words, Map<String, BigDecimal> mapping, String text) {
        declarePairs(mapping);
        body.open(
                "qti-gap-match-interaction",
                "response-identifier",
                RESPONSE,
                "shuffle",
                "false",
                "max-associations",
                "0");
        for (int i = 0; i < words.size(); i++) {
            body.element("qti-gap-text", words.get(i), "identifier", "w" + (i + 1), "match-max", "0");
        }
        body.markup(text).close("qti-gap-match-interaction");
        scorePairs(mapping);
    }

    @Override
    public Boolean tableEntry(TableEntry table) {
        entries(table.gaps());
        stem();
        body.open("table").open("tbody");
        for (List<Prose> row : table.rows()) {
            body.open("tr");
            row.forEach(cell ->
                    body.open("td").markup(prose.inline(cell, QtiBody::field)).close("td"));
            body.close("tr");
        }
        body.close("tbody").close("table");
        return true;
    }

    @Override
    public Boolean hottext(Hottext text) {
        List<Set<Integer>> spans = text.spanWords();
        List<Hottext.Word> words = text.words();
        List<BigDecimal> shares = shares(spans.size());
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        List<String> correct = new ArrayList<>();
        XmlText marked = new XmlText();
        int at = 0;
        int word = 0;
        while (word < words.size()) {
            int here = word;
            int span = indexOf(spans, here);
            int last = span < 0
                    ? here
                    : spans.get(span).stream().mapToInt(i -> i).max().orElse(here);
            String id = "h" + (here + 1);
            if (span >= 0) {
                correct.add(id);
                mapping.put(id, shares.get(span));
            } else if (!spans.isEmpty() && partial() != PartialMarks.EACH_RIGHT) {
                mapping.put(id, shares.get(0).negate());
            }
            marked.markup(prose.inline(text.text().cut(at, words.get(here).from())));
            marked.open("qti-hottext", "identifier", id)
                    .markup(prose.inline(text.text()
                            .cut(words.get(here).from(), words.get(last).to())))
                    .close("qti-hottext");
            at = words.get(last).to();
            word = last + 1;
        }
        marked.markup(prose.inline(text.text().cut(at, Integer.MAX_VALUE)));
        declarations.declare(
                RESPONSE, "multiple", "identifier", correct, partial() == PartialMarks.WHOLE ? Map.of() : mapping);
        body.markup(prose.block(text.instruction(), "stem"));
        body.open("qti-hottext-interaction", "response-identifier", RESPONSE, "max-choices", "0")
                .open("p")
                .markup(marked.toString())
                .close("p")
                .close("qti-hottext-interaction");
        if (!mapping.isEmpty() && partial() == PartialMarks.WHOLE) {
            scoring.allOrNothing();
        } else if (!mapping.isEmpty()) {
            scoring.addMapped(RESPONSE);
        }
        return true;
    }

    private static int indexOf(List<Set<Integer>> spans, int word) {
        for (int i = 0; i < spans.size(); i++) {
            if (spans.get(i).contains(word)) {
                return i;
            }
        }
        return -1;
    }

    @Override
    public Boolean pictureLabel(PictureLabel picture) {
        stem();
        if (picture.words().isEmpty()) {
            entries(picture.gaps());
            for (int i = 0; i < picture.labels().size(); i++) {
                body.markup(
                        "<p class=\"place\">" + XmlText.escape(picture.labels().get(i)) + " " + field(i + 1) + "</p>");
            }
            return true;
        }
        Map<String, BigDecimal> mapping = new LinkedHashMap<>();
        List<BigDecimal> shares = shares(picture.gaps().size());
        XmlText places = new XmlText();
        for (int i = 0; i < picture.labels().size(); i++) {
            places.markup("<p class=\"place\">"
                    + XmlText.escape(picture.labels().get(i)) + " <qti-gap identifier=\"g" + (i + 1) + "\"/></p>");
            for (String name : picture.gaps().get(i)) {
                int word = picture.words().indexOf(name);
                if (word >= 0) {
                    mapping.put("w" + (word + 1) + " g" + (i + 1), shares.get(i));
                }
            }
        }
        bank(picture.words(), mapping, places.toString());
        return true;
    }
}
