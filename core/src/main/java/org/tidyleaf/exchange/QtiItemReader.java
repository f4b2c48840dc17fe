package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.question.WordLimits;
import org.w3c.dom.Element;

/** An assessment item of QTI 3.0 as a question. One for each item. */
final class QtiItemReader {

    /** How our own packages say how long an answer should be, for neither version has a word for it. */
    private static final Pattern WORDS = Pattern.compile("(?:^|\\s)words-(\\d{1,4}-\\d{1,4})(?:\\s|$)");

    private final Element item;
    private final Element body;
    private final Function<String, String> pictures;
    private final Map<String, Element> declarations = new LinkedHashMap<>();
    private final int section;
    private final int stimulus;

    private QtiItemReader(Element item, Element body, Function<String, String> pictures, int section, int stimulus) {
        this.item = item;
        this.body = body;
        this.pictures = pictures;
        this.section = section;
        this.stimulus = stimulus;
        for (Element child : Xml.children(item)) {
            if (child.getLocalName().equals("qti-response-declaration")) {
                declarations.put(Xml.attribute(child, "identifier"), child);
            }
        }
    }

    /** Empty where the item has no interaction that we know, or more than one kind of them. */
    static Optional<Question> read(Element item, Function<String, String> pictures, int section, int stimulus) {
        return Xml.child(item, "qti-item-body")
                .flatMap(body -> new QtiItemReader(item, body, pictures, section, stimulus).question());
    }

    private Optional<Question> question() {
        String type = Xml.attribute(item, QtiItem.TYPE);
        for (String name : List.of(
                "qti-choice-interaction",
                "qti-order-interaction",
                "qti-match-interaction",
                "qti-gap-match-interaction",
                "qti-hottext-interaction",
                "qti-extended-text-interaction",
                "qti-text-entry-interaction")) {
            Optional<Element> interaction = Xml.below(body, name);
            if (interaction.isPresent()) {
                return Optional.of(question(name, type, interaction.get()));
            }
        }
        return Optional.empty();
    }

    private Question question(String name, String type, Element interaction) {
        return switch (name) {
            case "qti-choice-interaction" -> choice(type, interaction);
            case "qti-order-interaction" -> withPartial(order(interaction));
            case "qti-match-interaction" -> withPartial(pairs(interaction));
            case "qti-gap-match-interaction" -> withPartial(gapMatch(type, interaction));
            case "qti-hottext-interaction" -> withPartial(hottext(interaction));
            case "qti-extended-text-interaction" -> extendedText(interaction);
            default -> {
                Question entry = entry(type);
                boolean one = entry instanceof NumericEntry
                        || entry instanceof TextEntry text && text.gaps().size() == 1;
                yield one ? entry : withPartial(entry);
            }
        };
    }

    private Prose prose(Element element) {
        return new QtiProseReader(pictures).read(element);
    }

    /** What stands in the body outside of the interaction and of blocks for others than the candidate; its prompt too. */
    private Prose before(Element interaction) {
        List<Inline> parts = new ArrayList<>();
        for (Element child : Xml.children(body)) {
            boolean apart = child == interaction
                    || child.getLocalName().equals("qti-rubric-block")
                    || child.hasAttribute("data-stimulus-idref");
            if (!apart) {
                join(parts, prose(child));
            }
        }
        Xml.child(interaction, "qti-prompt").ifPresent(prompt -> join(parts, prose(prompt)));
        return new Prose(parts);
    }

    private static void join(List<Inline> parts, Prose more) {
        if (!more.isEmpty() && !parts.isEmpty()) {
            parts.add(new Inline.Break());
        }
        parts.addAll(more.parts());
    }

    private Particulars particulars(Prose stem) {
        return new Particulars(
                Xml.attribute(item, "identifier"),
                Xml.attribute(item, "label"),
                stem,
                points(),
                section,
                stimulus,
                block("qti-modal-feedback", "", ""),
                block("qti-rubric-block", "view", "candidate"));
    }

    private Prose model() {
        return block("qti-rubric-block", "view", "scorer");
    }

    private Prose block(String name, String attribute, String value) {
        var found = item.getElementsByTagNameNS("*", name);
        for (int i = 0; i < found.getLength(); i++) {
            Element block = (Element) found.item(i);
            if (attribute.isEmpty() || Xml.attribute(block, attribute).equals(value)) {
                return prose(block);
            }
        }
        return Prose.EMPTY;
    }

    private Optional<BigDecimal> points() {
        for (Element child : Xml.children(item)) {
            boolean most = child.getLocalName().equals("qti-outcome-declaration")
                    && Xml.attribute(child, "identifier").equals("MAXSCORE");
            if (most) {
                return Xml.below(child, "qti-value").flatMap(value -> number(value.getTextContent()));
            }
        }
        return Optional.empty();
    }

    private static Optional<BigDecimal> number(String text) {
        return text.strip().matches("-?\\d{1,9}(\\.\\d{1,9})?")
                ? Optional.of(new BigDecimal(text.strip()))
                : Optional.empty();
    }

    /** The values of the right response, in order. */
    private List<String> correct(String response) {
        return Optional.ofNullable(declarations.get(response))
                .flatMap(declaration -> Xml.child(declaration, "qti-correct-response"))
                .map(correct -> Xml.children(correct).stream()
                        .map(value -> value.getTextContent().strip())
                        .toList())
                .orElse(List.of());
    }

    /** Every spelling that earns something. */
    private List<String> accepted(String response) {
        List<String> accepted = new ArrayList<>();
        Optional.ofNullable(declarations.get(response))
                .flatMap(declaration -> Xml.child(declaration, "qti-mapping"))
                .map(Xml::children)
                .orElse(List.of())
                .stream()
                .filter(entry -> number(Xml.attribute(entry, "mapped-value"))
                        .filter(value -> value.signum() > 0)
                        .isPresent())
                .forEach(entry -> accepted.add(Xml.attribute(entry, "map-key")));
        return accepted.isEmpty() ? correct(response) : accepted;
    }

    private static String response(Element interaction) {
        return Xml.attribute(interaction, "response-identifier");
    }

    private static List<Element> named(Element parent, String name) {
        return Xml.children(parent).stream()
                .filter(child -> child.getLocalName().equals(name))
                .toList();
    }

    private Question choice(String type, Element interaction) {
        List<Option> options = new ArrayList<>();
        Map<String, Integer> places = new HashMap<>();
        for (Element choice : named(interaction, "qti-simple-choice")) {
            places.put(Xml.attribute(choice, "identifier"), options.size());
            Prose feedback =
                    Xml.child(choice, "qti-feedback-inline").map(this::prose).orElse(Prose.EMPTY);
            options.add(new Option(Xml.attribute(choice, "data-label"), prose(choice), feedback));
        }
        Set<Integer> key = new HashSet<>();
        correct(response(interaction)).forEach(id -> {
            if (places.containsKey(id)) {
                key.add(places.get(id));
            }
        });
        Particulars plain = particulars(before(interaction));
        Particulars particulars = plain.withSettings(plain.settings()
                .withOrder(order(type, interaction))
                .withPartial(isSeveral(interaction) ? partial(interaction) : Optional.empty()));
        if (type.equals("true-false")) {
            return new TrueFalse(particulars, options, key);
        }
        return isSeveral(interaction)
                ? new MultipleChoice(particulars, options, key)
                : new SingleChoice(particulars, options, key);
    }

    private static boolean isSeveral(Element interaction) {
        return !Xml.attribute(interaction, "max-choices").equals("1")
                && !Xml.attribute(interaction, "max-choices").isEmpty();
    }

    private static OptionOrder order(String type, Element interaction) {
        List<Element> choices = named(interaction, "qti-simple-choice");
        boolean kept = choices.size() > 1
                && !type.equals("true-false")
                && choices.stream()
                        .allMatch(choice -> Xml.attribute(choice, "fixed").equals("true"));
        if (kept) {
            return OptionOrder.KEPT;
        }
        return Xml.attribute(interaction, "shuffle").equals("true") ? OptionOrder.SHUFFLED : OptionOrder.USUAL;
    }

    private ExtendedText extendedText(Element interaction) {
        Particulars particulars = particulars(before(interaction));
        Matcher words = WORDS.matcher(Xml.attribute(interaction, "class"));
        WordLimits limits = words.find() ? WordLimits.typed(words.group(1)).orElse(WordLimits.NONE) : WordLimits.NONE;
        return new ExtendedText(particulars.withSettings(particulars.settings().withWords(limits)), model());
    }

    /** A choice whose response is mapped earns by its parts. */
    private Optional<PartialMarks> partial(Element interaction) {
        List<Element> entries = Optional.ofNullable(declarations.get(response(interaction)))
                .flatMap(declaration -> Xml.child(declaration, "qti-mapping"))
                .map(Xml::children)
                .orElse(List.of());
        boolean lessWrong = entries.stream()
                .anyMatch(entry -> Xml.attribute(entry, "mapped-value").startsWith("-"));
        return entries.isEmpty()
                ? Optional.empty()
                : Optional.of(lessWrong ? PartialMarks.LESS_WRONG : PartialMarks.EACH_RIGHT);
    }

    /** What parts earn, as the rules tell; by their parts where those say nothing else. */
    private Question withPartial(Question question) {
        boolean whole = Xml.below(item, "qti-correct").isPresent()
                || Xml.below(item, "qti-and")
                        .flatMap(all -> Xml.below(all, "qti-map-response"))
                        .isPresent()
                || Xml.below(item, "qti-response-processing")
                        .filter(rules -> Xml.attribute(rules, "template").contains("match_correct"))
                        .isPresent();
        Optional<Element> mapping = Xml.below(item, "qti-mapping");
        boolean lessWrong = mapping.filter(
                        map -> Xml.attribute(map, "default-value").startsWith("-"))
                .isPresent();
        boolean onlyRight = question instanceof Hottext
                && mapping.filter(map -> Xml.children(map).stream()
                                .noneMatch(entry ->
                                        Xml.attribute(entry, "mapped-value").startsWith("-")))
                        .isPresent();
        Optional<PartialMarks> partial = whole
                ? Optional.of(PartialMarks.WHOLE)
                : lessWrong
                        ? Optional.of(PartialMarks.LESS_WRONG)
                        : onlyRight ? Optional.of(PartialMarks.EACH_RIGHT) : Optional.empty();
        Particulars particulars = question.particulars();
        return partial.isEmpty()
                ? question
                : question.withParticulars(
                        particulars.withSettings(particulars.settings().withPartial(partial)));
    }

    private Question order(Element interaction) {
        List<Prose> items = new ArrayList<>();
        Map<String, Integer> places = new HashMap<>();
        for (Element choice : named(interaction, "qti-simple-choice")) {
            places.put(Xml.attribute(choice, "identifier"), items.size());
            items.add(prose(choice));
        }
        List<Integer> key = correct(response(interaction)).stream()
                .map(id -> places.getOrDefault(id, -1))
                .toList();
        boolean whole = key.size() == items.size() && !key.contains(-1);
        return new Order(particulars(before(interaction)), items, whole ? key : List.of());
    }

    /** Sources and targets with their identifiers, in order. */
    private LinkedHashMap<String, Prose> set(Element interaction, int place) {
        LinkedHashMap<String, Prose> set = new LinkedHashMap<>();
        List<Element> sets = named(interaction, "qti-simple-match-set");
        if (place < sets.size()) {
            for (Element choice : named(sets.get(place), "qti-simple-associable-choice")) {
                set.put(Xml.attribute(choice, "identifier"), prose(choice));
            }
        }
        return set;
    }

    private Question pairs(Element interaction) {
        LinkedHashMap<String, Prose> lefts = set(interaction, 0);
        LinkedHashMap<String, Prose> targets = set(interaction, 1);
        List<String> columns = List.copyOf(targets.keySet());
        List<Set<Integer>> key = new ArrayList<>();
        for (String left : lefts.keySet()) {
            Set<Integer> own = new HashSet<>();
            for (String pair : correct(response(interaction))) {
                String[] ends = pair.split("\\s+");
                if (ends.length == 2 && ends[0].equals(left) && columns.contains(ends[1])) {
                    own.add(columns.indexOf(ends[1]));
                }
            }
            key.add(own);
        }
        Particulars particulars = particulars(before(interaction));
        List<Prose> rows = List.copyOf(lefts.values());
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        if (Xml.attribute(interaction, "class").contains("qti-match-tabular")
                || keyed && key.stream().anyMatch(own -> own.size() > 1)) {
            return new Grid(particulars, List.copyOf(targets.values()), rows, keyed ? key : List.of());
        }
        List<Integer> single =
                keyed ? key.stream().map(own -> own.iterator().next()).toList() : List.of();
        return new Match(particulars, rows, List.copyOf(targets.values()), single);
    }

    private Question gapMatch(String type, Element interaction) {
        LinkedHashMap<String, String> words = new LinkedHashMap<>();
        named(interaction, "qti-gap-text")
                .forEach(word -> words.put(
                        Xml.attribute(word, "identifier"), word.getTextContent().strip()));
        Map<String, String> key = new HashMap<>();
        for (String pair : correct(response(interaction))) {
            String[] ends = pair.split("\\s+");
            if (ends.length == 2 && words.containsKey(ends[0])) {
                key.put(ends[1], words.get(ends[0]));
            }
        }
        List<String> gaps = new ArrayList<>();
        var found = interaction.getElementsByTagNameNS("*", "qti-gap");
        for (int i = 0; i < found.getLength(); i++) {
            gaps.add(key.getOrDefault(Xml.attribute((Element) found.item(i), "identifier"), ""));
        }
        List<String> bank = List.copyOf(words.values());
        if (type.equals("picture-label")) {
            List<String> labels = named(interaction, "p").stream()
                    .map(place -> place.getTextContent().strip())
                    .toList();
            List<List<String>> accepted = gaps.stream()
                    .map(name -> name.isEmpty() ? List.<String>of() : List.of(name))
                    .toList();
            return new PictureLabel(particulars(before(interaction)), labels, bank, accepted);
        }
        List<Inline> text = new ArrayList<>(before(interaction).parts());
        QtiProseReader counting = new QtiProseReader(pictures);
        for (Element child : Xml.children(interaction)) {
            boolean content = !child.getLocalName().equals("qti-gap-text")
                    && !child.getLocalName().equals("qti-prompt");
            if (content) {
                join(text, counting.read(child));
            }
        }
        return new GapMatch(particulars(new Prose(text)), bank, gaps.contains("") ? List.of() : gaps);
    }

    private Question hottext(Element interaction) {
        Map<String, String> words = new LinkedHashMap<>();
        var found = interaction.getElementsByTagNameNS("*", "qti-hottext");
        for (int i = 0; i < found.getLength(); i++) {
            Element word = (Element) found.item(i);
            words.put(Xml.attribute(word, "identifier"), prose(word).plain());
        }
        List<String> right = correct(response(interaction));
        List<String> spans = new ArrayList<>();
        words.forEach((id, word) -> {
            if (right.contains(id)) {
                spans.add(word);
            }
        });
        List<Inline> text = new ArrayList<>(before(interaction).parts());
        for (Element child : Xml.children(interaction)) {
            if (!child.getLocalName().equals("qti-prompt")) {
                join(text, prose(child));
            }
        }
        return new Hottext(particulars(new Prose(text)), spans);
    }

    /** One or several entries in the text, in a table or beside a picture. */
    private Question entry(String type) {
        var found = body.getElementsByTagNameNS("*", "qti-text-entry-interaction");
        List<List<String>> gaps = new ArrayList<>();
        for (int i = 0; i < found.getLength(); i++) {
            gaps.add(accepted(response((Element) found.item(i))));
        }
        Optional<Element> table = Xml.below(body, "table");
        if (table.isPresent()) {
            return new TableEntry(particulars(before(table.get())), rows(table.get()), gaps);
        }
        if (type.equals("picture-label")) {
            List<String> labels = paragraphs("place").stream()
                    .map(place -> place.getTextContent().strip())
                    .toList();
            return new PictureLabel(particulars(proseOf("stem")), labels, List.of(), gaps);
        }
        String response = response((Element) found.item(0));
        boolean number = Optional.ofNullable(declarations.get(response))
                .filter(declaration -> Xml.attribute(declaration, "base-type").matches("float|integer"))
                .isPresent();
        Prose stem = paragraphs("stem").isEmpty() ? before(body) : proseOf("stem");
        if (number && gaps.size() == 1) {
            return new NumericEntry(particulars(stem), numeric(correct(response)));
        }
        return new TextEntry(particulars(stem), gaps);
    }

    private List<Element> paragraphs(String css) {
        return Xml.children(body).stream()
                .filter(child -> Xml.attribute(child, "class").equals(css))
                .toList();
    }

    private Prose proseOf(String css) {
        List<Inline> parts = new ArrayList<>();
        QtiProseReader counting = new QtiProseReader(pictures);
        paragraphs(css).forEach(paragraph -> join(parts, counting.read(paragraph)));
        return new Prose(parts);
    }

    private List<List<Prose>> rows(Element table) {
        List<List<Prose>> rows = new ArrayList<>();
        QtiProseReader counting = new QtiProseReader(pictures);
        var found = table.getElementsByTagNameNS("*", "tr");
        for (int i = 0; i < found.getLength(); i++) {
            List<Prose> row = new ArrayList<>();
            Xml.children(found.item(i)).forEach(cell -> row.add(counting.read(cell)));
            rows.add(row);
        }
        return rows;
    }

    /** The right number, its tolerance from the bounds that the rules compare with, its unit from beside the field. */
    private Optional<NumericEntry.Key> numeric(List<String> correct) {
        Optional<BigDecimal> value = correct.stream().findFirst().flatMap(QtiItemReader::number);
        Optional<BigDecimal> high = Xml.below(item, "qti-lte")
                .flatMap(bound -> Xml.below(bound, "qti-base-value"))
                .flatMap(bound -> number(bound.getTextContent()));
        String unit = Xml.below(body, "span")
                .filter(span -> Xml.attribute(span, "class").equals("unit"))
                .map(Element::getTextContent)
                .orElseGet(() -> paragraphs("unit").stream()
                        .map(Element::getTextContent)
                        .findFirst()
                        .orElse(""));
        return value.map(number -> new NumericEntry.Key(
                number, high.map(bound -> bound.subtract(number)).filter(tolerance -> tolerance.signum() > 0), unit));
    }
}
