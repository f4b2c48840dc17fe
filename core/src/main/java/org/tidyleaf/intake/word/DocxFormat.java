package org.tidyleaf.intake.word;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;
import org.w3c.dom.Element;

/** Office Open XML documents (ISO/IEC 29500-1, transitional and strict): finds the parts and walks them in print order. */
public final class DocxFormat implements Format {

    private static final String FOLDER = "word/";

    @Override
    public String ending() {
        return "docx";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        if (bytes.length < 4 || bytes[0] != 'P' || bytes[1] != 'K') {
            throw new IntakeException.Unreadable(name + " is not a Word document, whatever its name says"
                    + (looksLikeText(bytes)
                            ? "; it looks like plain text. Name it .txt and drop it again."
                            : ". Open it in" + " the program it was made with and save it as .docx."));
        }
        ZipParts parts = ZipParts.unpack(name, bytes);
        byte[] document = parts.find(FOLDER + "document.xml")
                .orElseThrow(() -> new IntakeException.Unreadable(name
                        + " holds no text of a Word document. Open it in the program it was made with and save it as"
                        + " .docx."));
        DocxParts docx = new DocxParts(name, parts);
        Map<String, Element> attached = docx.attached();
        LineCollector lines = new LineCollector();
        DocxWalker walker = new DocxWalker(
                lines,
                new DocxStyles(docx.root("styles.xml")),
                new DocxNumbering(docx.root("numbering.xml")),
                docx.figures("document.xml"));
        attached.forEach((part, root) -> walkIf(part.startsWith("header"), walker, root, Place.HEADER));
        Element root = Xml.parse(name, document).getDocumentElement();
        Xml.child(root, "body").ifPresent(body -> walker.walk(body, Place.BODY));
        attached.forEach((part, other) -> {
            walkIf(part.startsWith("footnotes") || part.startsWith("endnotes"), walker, other, Place.FOOTNOTE);
            walkIf(part.startsWith("footer"), walker, other, Place.FOOTER);
            walkIf(part.startsWith("comments."), walker, other, Place.COMMENT);
        });
        return new Source(name, "docx", lines.lines(), walker.figures(), walker.notes());
    }

    private static void walkIf(boolean wanted, DocxWalker walker, Element root, Place place) {
        if (wanted) {
            walker.walk(root, place);
        }
    }

    private static boolean looksLikeText(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.ISO_8859_1);
        return start.chars().noneMatch(c -> c < 9);
    }

    /** The parts beside the main one, by their file names. */
    private record DocxParts(String name, ZipParts zip) {

        Optional<Element> root(String part) throws IntakeException {
            Optional<byte[]> bytes = zip.find(FOLDER + part);
            return bytes.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Xml.parse(name, bytes.get()).getDocumentElement());
        }

        /** Headers, footers, notes and comments, sorted by file name so that the same file always reads the same. */
        Map<String, Element> attached() throws IntakeException {
            Map<String, Element> found = new TreeMap<>();
            for (Element relation : relations("document.xml")) {
                String target = Xml.attribute(relation, "Target").replaceFirst("^/?word/", "");
                if (target.matches("(header|footer|footnotes|endnotes|comments)\\d*\\.xml")) {
                    root(target).ifPresent(root -> found.put(target, root));
                }
            }
            return found;
        }

        private List<Element> relations(String part) throws IntakeException {
            return root("_rels/" + part + ".rels").map(Xml::children).orElse(List.of());
        }

        /** Relation id to picture; what is linked from outside the file is not fetched. */
        DocxFigures figures(String part) throws IntakeException {
            Map<String, DocxFigures.Stored> stored = new TreeMap<>();
            for (Element relation : relations(part)) {
                String target = Xml.attribute(relation, "Target");
                String path = target.startsWith("/") ? target.substring(1) : FOLDER + target;
                String type = Pictures.mediaType(target);
                if (!type.isEmpty() && !Xml.attribute(relation, "TargetMode").equals("External")) {
                    zip.find(path)
                            .ifPresent(bytes ->
                                    stored.put(Xml.attribute(relation, "Id"), new DocxFigures.Stored(type, bytes)));
                }
            }
            return new DocxFigures(stored, new ArrayList<>());
        }
    }
}
