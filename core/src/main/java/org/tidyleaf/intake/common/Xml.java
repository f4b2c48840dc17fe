package org.tidyleaf.intake.common;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.tidyleaf.intake.IntakeException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/** XML of untrusted files: no document types, so no entities, and nothing fetched (OWASP, XXE prevention for Java). */
public final class Xml {

    private Xml() {}

    public static Document parse(String file, byte[] bytes) throws IntakeException {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newDefaultNSInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setFeature("http://apache.org/xml/features/dom/defer-node-expansion", false);
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new ByteArrayInputStream(bytes));
        } catch (SAXException | IOException | ParserConfigurationException damaged) {
            throw new IntakeException.Unreadable(
                    file + " is damaged: its text can't be read. Open it in your word processor and save it again.",
                    damaged);
        }
    }

    public static List<Element> children(Node parent) {
        List<Element> children = new ArrayList<>();
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element element) {
                children.add(element);
            }
        }
        return children;
    }

    public static Optional<Element> child(Node parent, String name) {
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element element && name.equals(element.getLocalName())) {
                return Optional.of(element);
            }
        }
        return Optional.empty();
    }

    /** The first element of that local name anywhere below. */
    public static Optional<Element> below(Element parent, String name) {
        var found = parent.getElementsByTagNameNS("*", name);
        return found.getLength() == 0 ? Optional.empty() : Optional.of((Element) found.item(0));
    }

    /** An attribute by its local name, whatever its namespace; empty where it is absent. */
    public static String attribute(Element element, String name) {
        var attributes = element.getAttributes();
        for (int i = 0; i < attributes.getLength(); i++) {
            // Documents that were made in memory may have names without a local part.
            String local = attributes.item(i).getLocalName();
            if (name.equals(local == null ? attributes.item(i).getNodeName() : local)) {
                return attributes.item(i).getNodeValue();
            }
        }
        return "";
    }
}
