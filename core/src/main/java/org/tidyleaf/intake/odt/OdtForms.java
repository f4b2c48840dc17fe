package org.tidyleaf.intake.odt;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * Fields of a form as LibreOffice writes them, beyond the standard: {@code field:fieldmark} for those that come from other word
 * processors, {@code loext:content-control} for its own. They print as they would stand on paper.
 */
final class OdtForms {

    private OdtForms() {}

    /** A box or the words to choose from; empty for any other mark. */
    static Optional<String> mark(Element mark) {
        String type = Xml.attribute(mark, "type");
        if (type.endsWith("FORMCHECKBOX")) {
            boolean on = values(mark, "Checkbox_Checked").contains("true");
            return Optional.of(on ? "\u2611" : "\u2610");
        }
        List<String> entries = values(mark, "Dropdown_ListEntry");
        return type.endsWith("FORMDROPDOWN") && !entries.isEmpty()
                ? Optional.of(LineCollector.inBrackets(entries))
                : Optional.empty();
    }

    /** Whether text is typed between this mark and its end. */
    static boolean isTextInput(Element mark) {
        return Xml.attribute(mark, "type").endsWith("FORMTEXT");
    }

    /** What stands in place of a content control; empty where what it holds is printed as it is. */
    static Optional<String> inPlaceOf(Element control) {
        List<String> items = new ArrayList<>();
        for (Element item : Xml.children(control)) {
            String value = Xml.attribute(item, "value");
            if (item.getLocalName().equals("list-item") && !value.isBlank()) {
                String shown = Xml.attribute(item, "display-text");
                items.add(shown.isBlank() ? value : shown);
            }
        }
        if (items.size() > 1) {
            return Optional.of(LineCollector.inBrackets(items));
        }
        boolean waiting = Xml.attribute(control, "showing-place-holder").equals("true")
                && Xml.attribute(control, "checkbox").isEmpty();
        return waiting ? Optional.of(LineCollector.RULE) : Optional.empty();
    }

    private static List<String> values(Element mark, String name) {
        return Xml.children(mark).stream()
                .filter(child -> child.getLocalName().equals("param")
                        && Xml.attribute(child, "name").equals(name))
                .map(child -> Xml.attribute(child, "value"))
                .toList();
    }
}
