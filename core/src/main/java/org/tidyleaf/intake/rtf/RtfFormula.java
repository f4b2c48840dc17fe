package org.tidyleaf.intake.rtf;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.tidyleaf.intake.common.OmmlToLatex;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/**
 * One formula of a rich text. Its groups are the elements of Office Math with an m before their names (RTF 1.9.1,
 * Math), so they are put back into those and read as in a .docx. One per formula, not shared.
 */
final class RtfFormula {

    /** Properties whose group holds their value as text. */
    private static final Set<String> VALUES = Set.of("chr", "begChr", "endChr", "sepChr", "type", "pos", "degHide");

    private final Document document = document();
    private final Deque<Element> path = new ArrayDeque<>();

    RtfFormula() {
        Element math = document.createElementNS("", "oMath");
        document.appendChild(math);
        path.push(math);
    }

    private static Document document() {
        try {
            return DocumentBuilderFactory.newDefaultNSInstance()
                    .newDocumentBuilder()
                    .newDocument();
        } catch (ParserConfigurationException impossible) {
            throw new IllegalStateException("The platform has no XML", impossible);
        }
    }

    /** A group whose first word is {@code name}, as {@code mnum}. */
    void begin(String name) {
        Element element = document.createElementNS("", name.substring(1));
        path.element().appendChild(element);
        path.push(element);
    }

    void text(String printed) {
        Element parent = path.element();
        if (VALUES.contains(parent.getLocalName())) {
            parent.setAttribute("val", parent.getAttribute("val") + printed.strip());
        } else if (parent.getLocalName().equals("r")) {
            Element text = document.createElementNS("", "t");
            text.setTextContent(printed);
            parent.appendChild(text);
        }
    }

    void end() {
        if (path.size() > 1) {
            path.pop();
        }
    }

    /** The LaTeX of the whole, or nothing where the formula is empty. */
    Optional<String> latex() {
        return Optional.of(OmmlToLatex.convert(document.getDocumentElement())).filter(latex -> !latex.isBlank());
    }
}
