package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.source.Figure;

/**
 * A Common Cartridge 1.3 (1EdTech) with one assessment in its subset of QTI 1.2, which knows choices, blanks and essays. What
 * it can't hold is turned into the nearest thing it can, and said.
 */
public final class CartridgePackage {

    private static final String NAMESPACE = "http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1";
    private static final String QTI = "http://www.imsglobal.org/xsd/ims_qtiasiv1p2";

    /** Where a cartridge keeps its files, as its texts name it. */
    static final String FILES = "$IMS-CC-FILEBASE$/";

    private final Quiz quiz;
    private final Map<String, Figure> pictures = new LinkedHashMap<>();
    private final Map<String, String> files = new LinkedHashMap<>();
    private final Set<String> remarks = new LinkedHashSet<>();
    private final List<CartridgeItem> items = new ArrayList<>();

    private CartridgePackage(Quiz quiz, Function<String, Optional<Figure>> figures) {
        this.quiz = quiz;
        for (Prose prose : QtiPackage.proses(quiz)) {
            for (Inline.Picture picture : prose.pictures()) {
                figures.apply(picture.figure()).ifPresent(figure -> pictures.put(picture.figure(), figure));
            }
        }
        pictures.forEach((id, figure) -> files.put(id, "images/" + id + QtiPackage.ending(figure.mediaType())));
        Map<String, String> addresses = new LinkedHashMap<>();
        files.forEach((id, file) -> addresses.put(id, FILES + file));
        QtiProse prose = new QtiProse(addresses);
        int section = -1;
        for (Question question : quiz.questions()) {
            StringBuilder before = new StringBuilder();
            int here = question.particulars().section();
            if (here >= 0 && here != section) {
                before.append(head(quiz.sections().get(here), prose));
                remarks.add("Sections stand as a line above their first question: a cartridge has none.");
            }
            section = here;
            if (question.particulars().stimulus() >= 0) {
                Prose passage =
                        quiz.stimuli().get(question.particulars().stimulus()).text();
                before.append("<blockquote>")
                        .append(prose.block(passage, "passage"))
                        .append("</blockquote>");
                remarks.add("A passage stands above each of its questions.");
            }
            if (!question.particulars().hint().isEmpty()) {
                remarks.add("Hints are left out: a cartridge has no place for them.");
            }
            items.addAll(new CartridgeItems(question, prose, before.toString(), remarks).items());
        }
    }

    private static String head(Section section, QtiProse prose) {
        return "<p><strong>" + XmlText.escape(section.title()) + "</strong></p>"
                + prose.block(section.instructions(), "instructions");
    }

    /** Writes the cartridge and leaves the stream open. */
    public static void write(Quiz quiz, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        new CartridgePackage(quiz, figures).write(out);
    }

    /** What of this test a cartridge can't hold as it is, in words for the teacher. */
    public static List<String> remarks(Quiz quiz) {
        return List.copyOf(new CartridgePackage(quiz, id -> Optional.empty()).remarks);
    }

    private void write(OutputStream out) throws IOException {
        SteadyZip zip = new SteadyZip(out);
        zip.entry("imsmanifest.xml", manifest());
        zip.entry("test/assessment.xml", assessment());
        for (Map.Entry<String, Figure> picture : pictures.entrySet()) {
            zip.entry(
                    files.getOrDefault(picture.getKey(), ""), picture.getValue().bytes());
        }
        zip.finish();
    }

    private String assessment() {
        XmlText out = new XmlText().markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.open("questestinterop", "xmlns", QTI)
                .open("assessment", "ident", "test", "title", quiz.title())
                .open("qtimetadata");
        CartridgeItem.field(out, "cc_profile", "cc.exam.v0p1");
        CartridgeItem.field(out, "qmd_assessmenttype", "Examination");
        CartridgeItem.field(out, "qmd_scoretype", "Percentage");
        out.close("qtimetadata").open("section", "ident", "root_section");
        items.forEach(item -> item.write(out));
        return out.close("section").close("assessment").close("questestinterop").toString();
    }

    private String manifest() {
        XmlText out = new XmlText().markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.open("manifest", "xmlns", NAMESPACE, "identifier", "manifest")
                .open("metadata")
                .element("schema", "IMS Common Cartridge")
                .element("schemaversion", "1.3.0")
                .close("metadata");
        out.open("organizations")
                .open("organization", "identifier", "organization", "structure", "rooted-hierarchy")
                .open("item", "identifier", "root")
                .open("item", "identifier", "item-test", "identifierref", "r-test")
                .element("title", quiz.title())
                .close("item")
                .close("item")
                .close("organization")
                .close("organizations");
        out.open("resources")
                .open("resource", "identifier", "r-test", "type", "imsqti_xmlv1p2/imscc_xmlv1p3/assessment")
                .empty("file", "href", "test/assessment.xml");
        files.keySet().forEach(id -> out.empty("dependency", "identifierref", "r-" + id));
        out.close("resource");
        files.forEach((id, file) -> out.open("resource", "identifier", "r-" + id, "type", "webcontent", "href", file)
                .empty("file", "href", file)
                .close("resource"));
        return out.close("resources").close("manifest").toString();
    }
}
