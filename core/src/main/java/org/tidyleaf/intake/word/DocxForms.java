package org.tidyleaf.intake.word;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * Fields to fill in on the screen, as they would stand on paper: room to write, or the words to choose from. Form fields by
 * ECMA-376-1, 17.16.17 (ffData), 17.16.33 (textInput) and 17.16.12 (ddList); content controls by 17.5.2.15 (dropDownList),
 * 17.5.2.5 (comboBox) and 17.5.2.39 (showingPlcHdr).
 */
final class DocxForms {

    private static final List<String> OF_OTHER_KINDS =
            List.of("checkbox", "picture", "docPartObj", "docPartList", "date");

    private DocxForms() {}

    /** What a field of a form shows in place of its result; empty for a field that is no list to choose from. */
    static Optional<String> choices(Element fieldData) {
        return Xml.below(fieldData, "ddList").map(list -> {
            List<String> entries = new ArrayList<>();
            for (Element child : Xml.children(list)) {
                if (child.getLocalName().equals("listEntry")) {
                    entries.add(Xml.attribute(child, "val"));
                }
            }
            return LineCollector.inBrackets(entries);
        });
    }

    static boolean isTextInput(Element fieldData) {
        return Xml.below(fieldData, "textInput").isPresent();
    }

    /** What stands in place of a content control; empty where what it holds is printed as it is. */
    static Optional<String> inPlaceOf(Element control) {
        Optional<Element> properties = Xml.child(control, "sdtPr");
        Optional<Element> list =
                properties.flatMap(p -> Xml.child(p, "dropDownList").or(() -> Xml.child(p, "comboBox")));
        if (list.isPresent()) {
            List<String> items = items(list.get());
            return items.size() > 1 ? Optional.of(LineCollector.inBrackets(items)) : Optional.empty();
        }
        boolean waiting = properties
                .filter(p -> Xml.child(p, "showingPlcHdr").isPresent())
                .filter(p -> Xml.children(p).stream().noneMatch(child -> OF_OTHER_KINDS.contains(child.getLocalName())))
                .isPresent();
        return waiting ? Optional.of(LineCollector.RULE) : Optional.empty();
    }

    /** The words to choose from, without the "Choose an item" that stands for none of them. */
    private static List<String> items(Element list) {
        List<String> items = new ArrayList<>();
        for (Element item : Xml.children(list)) {
            String value = Xml.attribute(item, "value");
            String shown = Xml.attribute(item, "displayText");
            if (item.getLocalName().equals("listItem") && !value.isBlank()) {
                items.add(shown.isBlank() ? value : shown);
            }
        }
        return items;
    }
}
