package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Settings;
import org.tidyleaf.source.Figure;

/**
 * A whole test as a content package of QTI 3.0 or 2.1 (1EdTech): manifest, test, an item for each question, a stimulus for each
 * passage, the pictures. The same quiz gives the same bytes.
 */
public final class QtiPackage {

    /** Which version of the standard a package is of. */
    public enum Version {
        V30,
        /** What most programs take in; passages stand in each of their items there. */
        V21
    }

    /** A keyword that begins so names the question's topic. */
    static final String TOPIC = "Topic: ";

    private static final String MANIFEST_21 = "http://www.imsglobal.org/xsd/imscp_v1p1";
    private static final String MANIFEST = "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1";

    private final Quiz quiz;
    private final Version version;
    private final int draw;
    private final int minutes;
    private final Map<String, Figure> pictures = new LinkedHashMap<>();
    private final Map<String, String> files = new LinkedHashMap<>();

    private QtiPackage(Version version, Quiz quiz, int draw, int minutes, Function<String, Optional<Figure>> figures) {
        this.version = version;
        this.draw = draw;
        this.minutes = minutes;
        this.quiz = quiz;
        for (Prose prose : proses(quiz)) {
            for (Inline.Picture picture : prose.pictures()) {
                figures.apply(picture.figure()).ifPresent(figure -> pictures.put(picture.figure(), figure));
            }
        }
        pictures.forEach((id, figure) -> files.put(id, "images/" + id + ending(figure.mediaType())));
    }

    /**
     * Writes the package and leaves the stream open.
     *
     * @param figures gives a picture by its id; one that is not there is left out
     */
    public static void write(Version version, Quiz quiz, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        writeTimed(version, quiz, 0, figures, out);
    }

    /**
     * Writes the package with a time limit for the whole test.
     *
     * @param minutes 0 for none
     */
    public static void writeTimed(
            Version version, Quiz quiz, int minutes, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        new QtiPackage(version, quiz, 0, minutes, figures).write(out);
    }

    /**
     * Writes a pool: items by topic, and a test that draws some of each topic's at random. Without topics the test's own
     * sections are taken.
     *
     * @param draw how many of each topic, at least 1; all where there are fewer
     */
    public static void writePool(Quiz quiz, int draw, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        new QtiPackage(Version.V30, quiz, Math.max(1, draw), 0, figures).write(out);
    }

    static List<Prose> proses(Quiz quiz) {
        List<Prose> proses = new ArrayList<>();
        quiz.stimuli().forEach(stimulus -> proses.add(stimulus.text()));
        for (Question question : quiz.questions()) {
            proses.add(question.particulars().stem());
            if (question instanceof ChoiceQuestion choice) {
                choice.options().stream().map(Option::text).forEach(proses::add);
            }
        }
        return proses;
    }

    static String ending(String mediaType) {
        return switch (mediaType) {
            case "image/jpeg" -> ".jpg";
            case "image/gif" -> ".gif";
            case "image/svg+xml" -> ".svg";
            default -> ".png";
        };
    }

    private void write(OutputStream out) throws IOException {
        SteadyZip zip = new SteadyZip(out);
        zip.entry("imsmanifest.xml", manifest());
        zip.entry("test.xml", version == Version.V30 ? test() : Qti21.write(test(), id -> ""));
        Map<String, String> fromItems = new LinkedHashMap<>();
        files.forEach((id, file) -> fromItems.put(id, "../" + file));
        QtiProse prose = new QtiProse(fromItems);
        for (int i = 0; i < quiz.stimuli().size() && version == Version.V30; i++) {
            zip.entry(stimulusFile(i), stimulus(i, prose));
        }
        for (Question question : quiz.questions()) {
            int stimulus = question.particulars().stimulus();
            String href = stimulus < 0 ? "" : "../" + stimulusFile(stimulus);
            String item = QtiItem.write(question, prose, "s" + (stimulus + 1), href);
            zip.entry(
                    itemFile(question),
                    version == Version.V30 ? item : Qti21.write(item, id -> stimulus(stimulus, prose)));
        }
        for (Map.Entry<String, Figure> picture : pictures.entrySet()) {
            zip.entry(
                    files.getOrDefault(picture.getKey(), ""), picture.getValue().bytes());
        }
        zip.finish();
    }

    private static String itemFile(Question question) {
        return "items/" + question.id() + ".xml";
    }

    private static String stimulusFile(int place) {
        return "stimuli/s" + (place + 1) + ".xml";
    }

    private String stimulus(int place, QtiProse prose) {
        return new XmlText()
                .markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
                .open(
                        "qti-assessment-stimulus",
                        "xmlns",
                        QtiItem.NAMESPACE,
                        "identifier",
                        "s" + (place + 1),
                        "title",
                        "Passage " + (place + 1))
                .open("qti-stimulus-body")
                .markup(prose.block(quiz.stimuli().get(place).text(), "passage"))
                .close("qti-stimulus-body")
                .close("qti-assessment-stimulus")
                .toString();
    }

    private String test() {
        XmlText out = new XmlText();
        out.markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.open("qti-assessment-test", "xmlns", QtiItem.NAMESPACE, "identifier", "test", "title", quiz.title());
        out.open("qti-outcome-declaration", "identifier", "SCORE", "cardinality", "single", "base-type", "float")
                .close("qti-outcome-declaration");
        if (minutes > 0) {
            // In seconds (QTI, timeLimits).
            out.empty("qti-time-limits", "max-time", String.valueOf(minutes * 60L));
        }
        out.open(
                "qti-test-part",
                "identifier",
                "part",
                "navigation-mode",
                "nonlinear",
                "submission-mode",
                "simultaneous");
        if (draw > 0) {
            pool().forEach((topic, questions) -> drawn(out, topic, questions));
        } else {
            sections(out);
        }
        out.close("qti-test-part");
        out.markup("<qti-outcome-processing><qti-set-outcome-value identifier=\"SCORE\"><qti-sum>"
                + "<qti-test-variables variable-identifier=\"SCORE\"/></qti-sum></qti-set-outcome-value>"
                + "</qti-outcome-processing>");
        return out.close("qti-assessment-test").toString();
    }

    private void sections(XmlText out) {
        int open = -2;
        for (Question question : quiz.questions()) {
            int section = question.particulars().section();
            if (section != open) {
                if (open != -2) {
                    out.close("qti-assessment-section");
                }
                section(out, section);
                open = section;
            }
            reference(out, question);
        }
        if (open != -2) {
            out.close("qti-assessment-section");
        }
    }

    /** The questions by topic, or by section where they have none, in the order of first mention. */
    private Map<String, List<Question>> pool() {
        Map<String, List<Question>> pool = new LinkedHashMap<>();
        for (Question question : quiz.questions()) {
            int section = question.particulars().section();
            String topic = question.particulars().settings().topic();
            String place =
                    section < 0 ? "Questions" : quiz.sections().get(section).title();
            pool.computeIfAbsent(topic.isEmpty() ? place : topic, name -> new ArrayList<>())
                    .add(question);
        }
        return pool;
    }

    /** QTI 3.0, sections: qti-selection draws so many of the items, qti-ordering shuffles them (both from memory). */
    private void drawn(XmlText out, String topic, List<Question> questions) {
        out.open(
                "qti-assessment-section",
                "identifier",
                "section-" + ++sectionCount,
                "title",
                topic.isEmpty() ? "Questions" : topic,
                "visible",
                "true");
        out.empty("qti-selection", "select", String.valueOf(Math.min(draw, questions.size())));
        out.empty("qti-ordering", "shuffle", "true");
        questions.forEach(question -> reference(out, question));
        out.close("qti-assessment-section");
    }

    private static void reference(XmlText out, Question question) {
        boolean required = question.particulars().settings().required();
        if (required) {
            out.open("qti-assessment-item-ref", "identifier", "ref-" + question.id(), "href", itemFile(question))
                    .empty("qti-item-session-control", "allow-skipping", "false")
                    .close("qti-assessment-item-ref");
        } else {
            out.empty("qti-assessment-item-ref", "identifier", "ref-" + question.id(), "href", itemFile(question));
        }
    }

    private int sectionCount;

    private void section(XmlText out, int place) {
        boolean named = place >= 0;
        Section section = named ? quiz.sections().get(place) : new Section("Questions", Prose.EMPTY);
        out.open(
                "qti-assessment-section",
                "identifier",
                "section-" + ++sectionCount,
                "title",
                section.title().isEmpty() ? "Questions" : section.title(),
                "visible",
                String.valueOf(named));
        if (!section.instructions().isEmpty()) {
            out.open("qti-rubric-block", "view", "candidate", "use", "instructions")
                    .open("qti-content-body")
                    .markup(new QtiProse(Map.of()).block(section.instructions(), "instructions"))
                    .close("qti-content-body")
                    .close("qti-rubric-block");
        }
    }

    private String manifest() {
        XmlText out = new XmlText();
        out.markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        boolean old = version == Version.V21;
        out.open("manifest", "xmlns", old ? MANIFEST_21 : MANIFEST, "identifier", "manifest");
        out.open("metadata")
                .element("schema", old ? "QTIv2.1 Package" : "QTI Package")
                .element("schemaversion", old ? "1.0.0" : "3.0.0")
                .close("metadata");
        String ofTest = old ? "imsqti_test_xmlv2p1" : "imsqti_test_xmlv3p0";
        String ofItem = old ? "imsqti_item_xmlv2p1" : "imsqti_item_xmlv3p0";
        out.empty("organizations").open("resources");
        out.open("resource", "identifier", "r-test", "type", ofTest, "href", "test.xml")
                .empty("file", "href", "test.xml");
        quiz.questions().forEach(question -> out.empty("dependency", "identifierref", "r-" + question.id()));
        out.close("resource");
        for (Question question : quiz.questions()) {
            String file = itemFile(question);
            out.open("resource", "identifier", "r-" + question.id(), "type", ofItem, "href", file);
            keywords(out, question.particulars().settings());
            out.empty("file", "href", file);
            if (question.particulars().stimulus() >= 0 && !old) {
                out.empty(
                        "dependency",
                        "identifierref",
                        "r-s" + (question.particulars().stimulus() + 1));
            }
            dependencies(out, question);
            out.close("resource");
        }
        for (int i = 0; i < quiz.stimuli().size() && !old; i++) {
            String file = stimulusFile(i);
            out.open("resource", "identifier", "r-s" + (i + 1), "type", "imsqti_stimulus_xmlv3p0", "href", file)
                    .empty("file", "href", file);
            quiz.stimuli().get(i).text().pictures().forEach(picture -> dependency(out, picture));
            out.close("resource");
        }
        files.forEach((id, file) -> out.open("resource", "identifier", "r-" + id, "type", "webcontent", "href", file)
                .empty("file", "href", file)
                .close("resource"));
        return out.close("resources").close("manifest").toString();
    }

    /** What the author noted, as keywords of IEEE 1484.12.1, learning object metadata (its element names from memory). */
    private static void keywords(XmlText out, Settings settings) {
        List<String> words = new ArrayList<>(settings.labels());
        if (!settings.topic().isEmpty()) {
            words.add(0, TOPIC + settings.topic());
        }
        if (words.isEmpty()) {
            return;
        }
        out.open("metadata")
                .open("lom", "xmlns", "http://ltsc.ieee.org/xsd/LOM")
                .open("general");
        words.forEach(word -> out.open("keyword").element("string", word).close("keyword"));
        out.close("general").close("lom").close("metadata");
    }

    private void dependencies(XmlText out, Question question) {
        int stimulus = question.particulars().stimulus();
        if (version == Version.V21 && stimulus >= 0) {
            quiz.stimuli().get(stimulus).text().pictures().forEach(picture -> dependency(out, picture));
        }
        question.particulars().stem().pictures().forEach(picture -> dependency(out, picture));
        if (question instanceof ChoiceQuestion choice) {
            choice.options().forEach(option -> option.text().pictures().forEach(picture -> dependency(out, picture)));
        }
    }

    private void dependency(XmlText out, Inline.Picture picture) {
        if (files.containsKey(picture.figure())) {
            out.empty("dependency", "identifierref", "r-" + picture.figure());
        }
    }
}
