package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/**
 * A question as the items that a cartridge can hold: a choice as it is, of others each part as a choice or a blank of its
 * own, so that no part and no key is lost.
 */
final class CartridgeItems implements Question.Cases<List<CartridgeItem>> {

    private final QtiProse prose;
    private final String before;
    private final Question question;
    private final Set<String> remarks;

    /**
     * @param before HTML that stands above what is asked: the section's words, the passage
     * @param remarks collects what the question had to be turned into
     */
    CartridgeItems(Question question, QtiProse prose, String before, Set<String> remarks) {
        this.question = question;
        this.prose = prose;
        this.before = before;
        this.remarks = remarks;
    }

    List<CartridgeItem> items() {
        return question.match(this);
    }

    private String name() {
        String number = question.particulars().number();
        return number.isEmpty() ? question.id() : "question " + number;
    }

    private void turned(String into) {
        remarks.add(name() + " (" + question.type().label() + ") becomes " + into + ".");
    }

    private String stem() {
        return before + prose.block(question.particulars().stem(), "stem");
    }

    /** The stem with one of its gaps open and the others as rules. */
    private String stem(Prose text, int open) {
        String marked = prose.inline(text, gap -> gap == open ? "<strong>[______]</strong>" : "______");
        return "<p>" + marked + "</p>";
    }

    private List<BigDecimal> shares(int parts) {
        BigDecimal most = Marker.most(question);
        List<BigDecimal> shares = new ArrayList<>();
        BigDecimal each = parts == 0 ? BigDecimal.ZERO : most.divide(BigDecimal.valueOf(parts), 2, RoundingMode.DOWN);
        for (int i = 1; i <= parts; i++) {
            shares.add(i == parts ? most.subtract(each.multiply(BigDecimal.valueOf(parts - 1L))) : each);
        }
        return shares;
    }

    private String feedback() {
        return question.particulars().feedback().isEmpty()
                ? ""
                : prose.block(question.particulars().feedback(), "feedback");
    }

    private CartridgeItem choice(
            String suffix,
            String text,
            List<String> options,
            Set<Integer> right,
            BigDecimal points,
            List<String> optionFeedback) {
        CartridgeItem.Kind kind =
                right.size() > 1 ? CartridgeItem.Kind.MULTIPLE_RESPONSE : CartridgeItem.Kind.MULTIPLE_CHOICE;
        return new CartridgeItem(
                question.id() + suffix, kind, text, options, right, List.of(), points, feedback(), optionFeedback);
    }

    private CartridgeItem blank(String suffix, String text, List<String> accepted, BigDecimal points) {
        return new CartridgeItem(
                question.id() + suffix,
                CartridgeItem.Kind.BLANK,
                text,
                List.of(),
                Set.of(),
                accepted,
                points,
                feedback(),
                List.of());
    }

    private List<CartridgeItem> blanks(List<String> texts, List<List<String>> gaps) {
        List<BigDecimal> shares = shares(gaps.size());
        List<CartridgeItem> items = new ArrayList<>();
        for (int i = 0; i < gaps.size(); i++) {
            items.add(blank(gaps.size() == 1 ? "" : "-" + (i + 1), texts.get(i), gaps.get(i), shares.get(i)));
        }
        return items;
    }

    @Override
    public List<CartridgeItem> choice(ChoiceQuestion choice) {
        List<String> options = choice.options().stream()
                .map(option -> prose.inline(option.text()))
                .toList();
        List<String> said = choice.options().stream()
                .map(Option::feedback)
                .map(prose::inline)
                .toList();
        CartridgeItem.Kind kind = choice.type() == QuestionType.TRUE_FALSE
                ? CartridgeItem.Kind.TRUE_FALSE
                : choice.takesSeveral() ? CartridgeItem.Kind.MULTIPLE_RESPONSE : CartridgeItem.Kind.MULTIPLE_CHOICE;
        return List.of(new CartridgeItem(
                choice.id(), kind, stem(), options, choice.key(), List.of(), Marker.most(choice), feedback(), said));
    }

    @Override
    public List<CartridgeItem> textEntry(TextEntry text) {
        Prose stem = text.particulars().stem();
        if (text.gaps().size() > 1) {
            turned("a blank for each of its " + text.gaps().size() + " gaps");
        }
        List<String> texts = IntStream.rangeClosed(1, text.gaps().size())
                .mapToObj(gap -> before + stem(stem, gap))
                .toList();
        return blanks(texts, text.gaps());
    }

    @Override
    public List<CartridgeItem> numericEntry(NumericEntry number) {
        boolean within = number.key()
                .flatMap(NumericEntry.Key::tolerance)
                .filter(tolerance -> tolerance.signum() > 0)
                .isPresent();
        if (within) {
            turned("a blank that takes only the exact number: a cartridge has no tolerance");
        }
        List<String> accepted =
                number.key().map(key -> spellings(key.value(), key.unit())).orElse(List.of());
        return List.of(blank("", before + stem(number.particulars().stem(), 1), accepted, Marker.most(number)));
    }

    /** With point and comma, with its unit and without. */
    private static List<String> spellings(BigDecimal value, String unit) {
        String plain = value.toPlainString();
        Set<String> spellings = new LinkedHashSet<>(List.of(plain, plain.replace('.', ',')));
        if (!unit.isEmpty()) {
            spellings.add(plain + " " + unit);
            spellings.add(plain.replace('.', ',') + " " + unit);
        }
        return List.copyOf(spellings);
    }

    @Override
    public List<CartridgeItem> extendedText(ExtendedText text) {
        String model = text.answer().isEmpty() ? "" : prose.block(text.answer(), "model");
        return List.of(new CartridgeItem(
                text.id(),
                CartridgeItem.Kind.ESSAY,
                stem(),
                List.of(),
                Set.of(),
                List.of(),
                Marker.most(text),
                feedback() + model,
                List.of()));
    }

    @Override
    public List<CartridgeItem> match(Match match) {
        turned("a choice for each of its " + match.lefts().size() + " pairs");
        List<String> targets = match.targets().stream().map(prose::inline).toList();
        List<BigDecimal> shares = shares(match.lefts().size());
        List<CartridgeItem> items = new ArrayList<>();
        for (int i = 0; i < match.lefts().size(); i++) {
            String text = stem() + "<p>" + prose.inline(match.lefts().get(i)) + "</p>";
            Set<Integer> right =
                    match.key().isEmpty() ? Set.of() : Set.of(match.key().get(i));
            items.add(choice("-" + (i + 1), text, targets, right, shares.get(i), List.of()));
        }
        return items;
    }

    @Override
    public List<CartridgeItem> order(Order order) {
        turned("a choice of what comes at each place");
        List<String> items = order.items().stream().map(prose::inline).toList();
        List<BigDecimal> shares = shares(order.items().size());
        List<CartridgeItem> places = new ArrayList<>();
        for (int i = 0; i < order.items().size(); i++) {
            String text = stem() + "<p>" + (i + 1) + ".</p>";
            Set<Integer> right =
                    order.key().isEmpty() ? Set.of() : Set.of(order.key().get(i));
            places.add(choice("-" + (i + 1), text, items, right, shares.get(i), List.of()));
        }
        return places;
    }

    @Override
    public List<CartridgeItem> grid(Grid grid) {
        turned("a choice for each of its " + grid.rows().size() + " rows");
        List<String> columns = grid.columns().stream().map(prose::inline).toList();
        List<BigDecimal> shares = shares(grid.rows().size());
        List<CartridgeItem> items = new ArrayList<>();
        for (int i = 0; i < grid.rows().size(); i++) {
            String text = stem() + "<p>" + prose.inline(grid.rows().get(i)) + "</p>";
            Set<Integer> right = grid.key().isEmpty() ? Set.of() : grid.key().get(i);
            items.add(choice("-" + (i + 1), text, columns, right, shares.get(i), List.of()));
        }
        return items;
    }

    @Override
    public List<CartridgeItem> gapMatch(GapMatch gaps) {
        int count = gaps.particulars().stem().gapCount();
        turned("a choice among its words for each of its " + count + " gaps");
        List<String> words = gaps.words().stream().map(XmlText::escape).toList();
        List<BigDecimal> shares = shares(count);
        List<CartridgeItem> items = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int word =
                    gaps.key().isEmpty() ? -1 : gaps.words().indexOf(gaps.key().get(i));
            String text = before + stem(gaps.particulars().stem(), i + 1);
            items.add(choice("-" + (i + 1), text, words, word < 0 ? Set.of() : Set.of(word), shares.get(i), List.of()));
        }
        return items;
    }

    @Override
    public List<CartridgeItem> tableEntry(TableEntry table) {
        turned("a blank for each of its " + table.gaps().size() + " cells");
        List<String> texts = IntStream.rangeClosed(1, table.gaps().size())
                .mapToObj(gap -> stem() + tableWith(table, gap))
                .toList();
        return blanks(texts, table.gaps());
    }

    private String tableWith(TableEntry table, int open) {
        return table.rows().stream()
                .map(row -> row.stream()
                        .map(cell -> "<td>"
                                + prose.inline(cell, gap -> gap == open ? "<strong>[______]</strong>" : "______")
                                + "</td>")
                        .collect(Collectors.joining("", "<tr>", "</tr>")))
                .collect(Collectors.joining("", "<table border=\"1\">", "</table>"));
    }

    @Override
    public List<CartridgeItem> hottext(Hottext text) {
        turned("a choice of several among its words");
        List<Set<Integer>> spans = text.spanWords();
        String plain = text.text().typed();
        List<String> options = text.words().stream()
                .map(word -> XmlText.escape(plain.substring(word.from(), word.to())))
                .toList();
        Set<Integer> right = spans.stream().flatMap(Set::stream).collect(Collectors.toSet());
        String asked = before + prose.block(text.instruction(), "stem") + prose.block(text.text(), "text");
        return List.of(new CartridgeItem(
                text.id(),
                CartridgeItem.Kind.MULTIPLE_RESPONSE,
                asked,
                options,
                right,
                List.of(),
                Marker.most(text),
                feedback(),
                List.of()));
    }

    @Override
    public List<CartridgeItem> pictureLabel(PictureLabel picture) {
        turned("a blank for each of its " + picture.labels().size() + " places");
        List<String> texts = picture.labels().stream()
                .map(label -> stem() + "<p>" + XmlText.escape(label) + " ______</p>")
                .toList();
        return blanks(texts, picture.gaps());
    }
}
