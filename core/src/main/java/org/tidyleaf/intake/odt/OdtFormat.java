package org.tidyleaf.intake.odt;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.MathMlToLatex;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;
import org.w3c.dom.Element;

/** OpenDocument texts (ISO/IEC 26300): finds the parts and walks them in print order. */
public final class OdtFormat implements Format {

    @Override
    public String ending() {
        return "odt";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        ZipParts parts = ZipParts.unpack(name, bytes);
        byte[] content = parts.find("content.xml")
                .orElseThrow(() -> new IntakeException.Unreadable(name
                        + " holds no text of an OpenDocument. Open it in the program it was made with and save it as"
                        + " .odt."));
        Element root = Xml.parse(name, content).getDocumentElement();
        Optional<byte[]> stylesPart = parts.find("styles.xml");
        Optional<Element> styles = stylesPart.isEmpty()
                ? Optional.empty()
                : Optional.of(Xml.parse(name, stylesPart.get()).getDocumentElement());
        OdtStyles known = new OdtStyles(styles, root);
        LineCollector lines = new LineCollector();
        OdtWalker walker = new OdtWalker(lines, known, pictures(root, parts), formulas(name, root, parts));
        styles.flatMap(s -> Xml.below(s, "header")).ifPresent(header -> walker.walk(header, Place.HEADER));
        Xml.child(root, "body")
                .flatMap(body -> Xml.child(body, "text"))
                .ifPresent(text -> walker.walk(text, Place.BODY));
        styles.flatMap(s -> Xml.below(s, "footer")).ifPresent(footer -> walker.walk(footer, Place.FOOTER));
        return new Source(name, "odt", lines.lines(), walker.figures(), walker.notes());
    }

    /** Formulas are documents of their own inside the archive; the LaTeX of each by its address. */
    private static Map<String, String> formulas(String name, Element root, ZipParts parts) throws IntakeException {
        Map<String, String> found = new TreeMap<>();
        var objects = root.getElementsByTagNameNS("*", "object");
        for (int i = 0; i < objects.getLength(); i++) {
            String path = Xml.attribute((Element) objects.item(i), "href").replaceFirst("^\\./", "");
            Optional<byte[]> content = parts.find(path.replaceFirst("/$", "") + "/content.xml");
            if (content.isPresent()) {
                // Older programs name a document type, which is never fetched and says nothing here.
                String plain = new String(content.get(), StandardCharsets.UTF_8).replaceFirst("<!DOCTYPE[^>\\[]*>", "");
                Element formula =
                        Xml.parse(name, plain.getBytes(StandardCharsets.UTF_8)).getDocumentElement();
                if (formula.getLocalName().equals("math")) {
                    found.put(path, MathMlToLatex.convert(formula));
                }
            }
        }
        return found;
    }

    private static Map<String, byte[]> pictures(Element root, ZipParts parts) {
        Map<String, byte[]> found = new TreeMap<>();
        var images = root.getElementsByTagNameNS("*", "image");
        for (int i = 0; i < images.getLength(); i++) {
            String path = Xml.attribute((Element) images.item(i), "href").replaceFirst("^\\./", "");
            parts.find(path).ifPresent(bytes -> found.put(path, bytes));
        }
        return found;
    }
}
