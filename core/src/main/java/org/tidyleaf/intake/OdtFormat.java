package org.tidyleaf.intake;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;
import org.w3c.dom.Element;

/** OpenDocument texts (ISO/IEC 26300): finds the parts and walks them in print order. */
final class OdtFormat implements Format {

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
        OdtWalker walker = new OdtWalker(lines, known, pictures(root, parts));
        styles.flatMap(s -> Xml.below(s, "header")).ifPresent(header -> walker.walk(header, Place.HEADER));
        Xml.child(root, "body")
                .flatMap(body -> Xml.child(body, "text"))
                .ifPresent(text -> walker.walk(text, Place.BODY));
        styles.flatMap(s -> Xml.below(s, "footer")).ifPresent(footer -> walker.walk(footer, Place.FOOTER));
        return new Source(name, "odt", lines.lines(), walker.figures());
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
