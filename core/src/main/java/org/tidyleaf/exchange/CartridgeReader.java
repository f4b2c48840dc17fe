package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.w3c.dom.Element;

/** The assessments of a Common Cartridge (QTI 1.2) as questions: choices, blanks and essays. */
final class CartridgeReader {

    private final Function<String, String> pictures;
    private final List<String> remarks;
    private final Set<String> ids = new HashSet<>();

    /**
     * @param pictures gives a figure's id for an image's address
     * @param remarks collects what is not understood
     */
    CartridgeReader(Function<String, String> pictures, List<String> remarks) {
        this.pictures = pictures;
        this.remarks = remarks;
    }

    /** Whether a resource of a manifest is such an assessment. */
    static boolean isAssessment(String type) {
        return type.matches("imsqti_xmlv1p2/imscc_xmlv1p\\d/(?:assessment|question-bank)");
    }

    /** All items of a file, in order. */
    List<Question> questions(Element root) {
        List<Question> questions = new ArrayList<>();
        var items = root.getElementsByTagNameNS("*", "item");
        for (int i = 0; i < items.getLength(); i++) {
            Element item = (Element) items.item(i);
            try {
                question(item, i + 1)
                        .ifPresentOrElse(
                                questions::add,
                                () -> remarks.add("\u201c" + Xml.attribute(item, "title")
                                        + "\u201d is of a kind that is not known here; it was left out."));
            } catch (IllegalArgumentException contradictory) {
                remarks.add("\u201c" + Xml.attribute(item, "title") + "\u201d contradicts itself ("
                        + contradictory.getMessage() + "); it was left out.");
            }
        }
        return questions;
    }

    private Optional<Question> question(Element item, int place) {
        Optional<Element> presentation = Xml.child(item, "presentation");
        if (presentation.isEmpty()) {
            return Optional.empty();
        }
        Particulars particulars = particulars(item, presentation.get(), place);
        Optional<Element> choices = Xml.below(presentation.get(), "response_lid");
        if (choices.isPresent()) {
            return Optional.of(choice(item, particulars, choices.get()));
        }
        if (Xml.below(presentation.get(), "response_str").isEmpty()) {
            return Optional.empty();
        }
        List<String> accepted = accepted(item);
        boolean essay = metadata(item, "cc_profile").startsWith("cc.essay");
        return Optional.of(
                essay ? new ExtendedText(particulars, Prose.EMPTY) : new TextEntry(particulars, List.of(accepted)));
    }

    private Particulars particulars(Element item, Element presentation, int place) {
        String id = Xml.attribute(item, "ident").replaceAll("[^A-Za-z0-9_.-]", "-");
        String unique = id.isEmpty() || !ids.add(id) ? "item-" + place : id;
        Prose stem = Xml.child(presentation, "material").map(this::prose).orElse(Prose.EMPTY);
        String weight = metadata(item, "cc_weighting");
        Optional<BigDecimal> points =
                weight.matches("\\d{1,6}(\\.\\d{1,6})?") ? Optional.of(new BigDecimal(weight)) : Optional.empty();
        return new Particulars(
                unique, String.valueOf(place), stem, points, -1, -1, feedback(item, "general_fb"), Prose.EMPTY);
    }

    private Question choice(Element item, Particulars particulars, Element choices) {
        List<Option> options = new ArrayList<>();
        List<String> names = new ArrayList<>();
        var labels = choices.getElementsByTagNameNS("*", "response_label");
        for (int i = 0; i < labels.getLength(); i++) {
            Element label = (Element) labels.item(i);
            String name = Xml.attribute(label, "ident");
            names.add(name);
            Prose text = Xml.below(label, "material").map(this::prose).orElse(Prose.EMPTY);
            options.add(new Option("", text, feedback(item, name + "_fb")));
        }
        Set<Integer> right = new TreeSet<>();
        accepted(item).forEach(name -> {
            if (names.contains(name)) {
                right.add(names.indexOf(name));
            }
        });
        String profile = metadata(item, "cc_profile");
        if (Xml.attribute(choices, "rcardinality").equalsIgnoreCase("Multiple")) {
            return new MultipleChoice(particulars, options, right);
        }
        return profile.startsWith("cc.true_false") && options.size() == 2
                ? new TrueFalse(particulars, options, right)
                : new SingleChoice(particulars, options, right);
    }

    /** What earns the points: values that are asked for and not excluded, in the first rule that scores. */
    private static List<String> accepted(Element item) {
        List<String> accepted = new ArrayList<>();
        var rules = item.getElementsByTagNameNS("*", "respcondition");
        for (int i = 0; i < rules.getLength() && accepted.isEmpty(); i++) {
            Element rule = (Element) rules.item(i);
            boolean scores = Xml.child(rule, "setvar")
                    .filter(value -> !value.getTextContent().strip().matches("0+(\\.0*)?"))
                    .isPresent();
            if (scores) {
                Xml.child(rule, "conditionvar").ifPresent(condition -> equals(condition, accepted));
            }
        }
        return accepted;
    }

    private static void equals(Element parent, List<String> values) {
        for (Element child : Xml.children(parent)) {
            if (child.getLocalName().equals("varequal")) {
                values.add(child.getTextContent().strip());
            } else if (!child.getLocalName().equals("not")) {
                equals(child, values);
            }
        }
    }

    private static String metadata(Element item, String name) {
        var fields = item.getElementsByTagNameNS("*", "qtimetadatafield");
        for (int i = 0; i < fields.getLength(); i++) {
            Element field = (Element) fields.item(i);
            boolean named = Xml.child(field, "fieldlabel")
                    .filter(label -> label.getTextContent().strip().equals(name))
                    .isPresent();
            if (named) {
                return Xml.child(field, "fieldentry")
                        .map(entry -> entry.getTextContent().strip())
                        .orElse("");
            }
        }
        return "";
    }

    private Prose feedback(Element item, String name) {
        for (Element child : Xml.children(item)) {
            if (child.getLocalName().equals("itemfeedback")
                    && Xml.attribute(child, "ident").equals(name)) {
                return Xml.below(child, "material").map(this::prose).orElse(Prose.EMPTY);
            }
        }
        return Prose.EMPTY;
    }

    /** Plain text, or HTML that stands as text in the file. */
    private Prose prose(Element material) {
        Optional<Element> text = Xml.below(material, "mattext");
        if (text.isEmpty()) {
            return Prose.EMPTY;
        }
        String said = text.get().getTextContent();
        if (!Xml.attribute(text.get(), "texttype").equals("text/html")) {
            return Prose.of(said.strip());
        }
        Element body = Xml.below(new W3CDom().fromJsoup(Jsoup.parse(said)).getDocumentElement(), "body")
                .orElseThrow();
        return new QtiProseReader(address -> pictures.apply(address.replace(CartridgePackage.FILES, ""))).read(body);
    }
}
