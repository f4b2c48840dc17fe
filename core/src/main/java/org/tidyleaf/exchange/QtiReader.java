package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.source.Figure;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** Content packages of QTI 3.0 and 2.x, and Common Cartridges, back to a quiz; what is not understood is said item by item. */
public final class QtiReader {

    private final String name;
    private final ZipParts parts;
    private final List<Section> sections = new ArrayList<>();
    private final List<Stimulus> stimuli = new ArrayList<>();
    private final Map<String, Integer> stimulusPlaces = new HashMap<>();
    private final List<Question> questions = new ArrayList<>();
    private final Map<String, Figure> figures = new LinkedHashMap<>();
    private final List<String> remarks = new ArrayList<>();
    private final Map<String, Settings> settings = new HashMap<>();

    private QtiReader(String name, ZipParts parts) {
        this.name = name;
        this.parts = parts;
    }

    /** @throws IntakeException if the archive is damaged or no such package; its message is for the teacher */
    public static Imported read(String name, byte[] bytes) throws IntakeException {
        return new QtiReader(name, ZipParts.unpack(name, bytes)).read();
    }

    /** Whether an archive has a manifest as content packages have, at its beginning or elsewhere at its top. */
    public static boolean isPackage(byte[] bytes) {
        boolean zip = bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K';
        try {
            return zip
                    && ZipParts.unpack("package", bytes).find("imsmanifest.xml").isPresent();
        } catch (IntakeException damaged) {
            return false;
        }
    }

    private Imported read() throws IntakeException {
        byte[] manifest = parts.find("imsmanifest.xml")
                .orElseThrow(() -> new IntakeException.Unreadable(name
                        + " is no QTI package: it has no imsmanifest.xml at its top. Export it again as QTI 3.0."));
        Element root = Xml.parse(name, manifest).getDocumentElement();
        String title = "";
        List<String> loose = new ArrayList<>();
        keywords(root);
        var resources = root.getElementsByTagNameNS("*", "resource");
        for (int i = 0; i < resources.getLength(); i++) {
            Element resource = (Element) resources.item(i);
            String type = Xml.attribute(resource, "type");
            String href = Xml.attribute(resource, "href");
            if (type.matches("imsqti_test_xmlv[23].*|imsqti_assessment_xmlv2.*")) {
                title = test(href);
            } else if (type.matches("imsqti_item_xmlv[23].*")) {
                loose.add(href);
            } else if (CartridgeReader.isAssessment(type)) {
                title = cartridge(resource, title);
            }
        }
        if (questions.isEmpty() && remarks.isEmpty()) {
            for (String href : loose) {
                item(href, -1);
            }
        }
        if (questions.isEmpty() && remarks.isEmpty()) {
            throw new IntakeException.Unreadable(
                    name
                            + " holds no items of QTI 2.1 or 3.0 and no assessment of a Common Cartridge. Export it again as one of these.");
        }
        Quiz quiz = new Quiz(title, sections, stimuli, questions);
        return new Imported(quiz, List.copyOf(figures.values()), List.copyOf(remarks));
    }

    /** What the author noted of each item, from its resource's metadata, before anything is read. */
    private void keywords(Element root) {
        var resources = root.getElementsByTagNameNS("*", "resource");
        for (int i = 0; i < resources.getLength(); i++) {
            Element resource = (Element) resources.item(i);
            Settings noted = Settings.NONE;
            List<String> labels = new ArrayList<>();
            for (String word : keywordsOf(resource)) {
                if (word.startsWith(QtiPackage.TOPIC)) {
                    noted = noted.withTopic(word.substring(QtiPackage.TOPIC.length()));
                } else {
                    labels.add(word);
                }
            }
            settings.put(Xml.attribute(resource, "href"), noted.withLabels(labels));
        }
    }

    private static List<String> keywordsOf(Element resource) {
        List<String> words = new ArrayList<>();
        Xml.child(resource, "metadata").ifPresent(metadata -> {
            var found = metadata.getElementsByTagNameNS("*", "keyword");
            for (int i = 0; i < found.getLength(); i++) {
                words.add(found.item(i).getTextContent().strip());
            }
        });
        return words;
    }

    /** An assessment of a Common Cartridge; the first one's title is the whole's. */
    private String cartridge(Element resource, String before) throws IntakeException {
        String href = Xml.child(resource, "file")
                .map(file -> Xml.attribute(file, "href"))
                .orElse("");
        Optional<byte[]> part = parts.find(href);
        if (part.isEmpty()) {
            remarks.add(href + " is named but not in the package.");
            return before;
        }
        Element root = Xml.parse(href, part.get()).getDocumentElement();
        questions.addAll(new CartridgeReader(this::figure, remarks).questions(root));
        String title = Xml.below(root, "assessment")
                .map(assessment -> Xml.attribute(assessment, "title"))
                .orElse("");
        return before.isEmpty() ? title : before;
    }

    private String test(String href) throws IntakeException {
        Optional<byte[]> part = parts.find(href);
        if (part.isEmpty()) {
            remarks.add("The test file " + href + " is missing; its items are read without their order.");
            return "";
        }
        Element test = renewed(href, part.get());
        Xml.child(test, "qti-time-limits")
                .map(limits -> Xml.attribute(limits, "max-time"))
                .filter(seconds -> seconds.matches("\\d{1,6}(?:\\.\\d+)?"))
                .ifPresent(seconds -> remarks.add("The package allows "
                        + Math.round(Double.parseDouble(seconds) / 60)
                        + " minutes. Time is set when a test is given out: set it there."));
        for (Element testPart : Xml.children(test)) {
            if (testPart.getLocalName().equals("qti-test-part")) {
                for (Element section : Xml.children(testPart)) {
                    section(section, folder(href));
                }
            }
        }
        return Xml.attribute(test, "title");
    }

    private void section(Element section, String folder) throws IntakeException {
        if (!section.getLocalName().equals("qti-assessment-section")) {
            return;
        }
        int place = -1;
        if (!Xml.attribute(section, "visible").equals("false")) {
            Prose instructions = Xml.child(section, "qti-rubric-block")
                    .map(block -> new QtiProseReader(address -> "").read(block))
                    .orElse(Prose.EMPTY);
            place = sections.size();
            sections.add(new Section(Xml.attribute(section, "title"), instructions));
        }
        for (Element child : Xml.children(section)) {
            if (child.getLocalName().equals("qti-assessment-item-ref")) {
                boolean required = Xml.child(child, "qti-item-session-control")
                        .filter(control ->
                                Xml.attribute(control, "allow-skipping").equals("false"))
                        .isPresent();
                String href = resolve(folder, Xml.attribute(child, "href"));
                settings.compute(href, (key, noted) -> (noted == null ? Settings.NONE : noted).withRequired(required));
                item(href, place);
            } else {
                section(child, folder);
            }
        }
    }

    private void item(String href, int section) throws IntakeException {
        Optional<byte[]> part = parts.find(href);
        if (part.isEmpty()) {
            remarks.add(href + " is named but not in the package.");
            return;
        }
        try {
            Element item = renewed(href, part.get());
            int stimulus = Qti21.takeStimulus(item)
                    .map(passage -> passage(passage, folder(href)))
                    .orElse(-1);
            Optional<Element> reference = Xml.child(item, "qti-assessment-stimulus-ref");
            if (reference.isPresent()) {
                stimulus = stimulus(resolve(folder(href), Xml.attribute(reference.get(), "href")));
            }
            Optional<Question> question =
                    QtiItemReader.read(item, address -> figure(resolve(folder(href), address)), section, stimulus);
            question.map(read -> noted(read, href))
                    .ifPresentOrElse(
                            questions::add,
                            () -> remarks.add("\u201c" + Xml.attribute(item, "title") + "\u201d (" + href
                                    + ") has no interaction that is known here; it was left out."));
        } catch (IntakeException damaged) {
            remarks.add(href + " can't be read as XML; it was left out.");
        } catch (IllegalArgumentException contradictory) {
            remarks.add(href + " contradicts itself (" + contradictory.getMessage() + "); it was left out.");
        }
    }

    private Question noted(Question question, String href) {
        Settings noted = settings.getOrDefault(href, Settings.NONE);
        Settings own = question.particulars().settings();
        return question.withParticulars(question.particulars()
                .withSettings(
                        own.withTopic(noted.topic()).withLabels(noted.labels()).withRequired(noted.required())));
    }

    /** In the words of 3.0, whichever version it was written in. */
    private static Element renewed(String href, byte[] part) throws IntakeException {
        Document file = Xml.parse(href, part);
        if (Qti21.isOld(file.getDocumentElement())) {
            Qti21.renew(file);
        }
        return file.getDocumentElement();
    }

    /** A passage that stands in each of its items, known by its name and its text. */
    private int passage(Element passage, String folder) {
        String known = Xml.attribute(passage, "id") + " " + passage.getTextContent();
        return stimulusPlaces.computeIfAbsent(known, name -> {
            stimuli.add(new Stimulus(new QtiProseReader(address -> figure(resolve(folder, address))).read(passage)));
            return stimuli.size() - 1;
        });
    }

    private int stimulus(String href) throws IntakeException {
        if (stimulusPlaces.containsKey(href)) {
            return stimulusPlaces.get(href);
        }
        Optional<byte[]> part = parts.find(href);
        if (part.isEmpty()) {
            remarks.add("The passage " + href + " is missing.");
            return -1;
        }
        Element stimulus = Xml.parse(href, part.get()).getDocumentElement();
        Element body = Xml.child(stimulus, "qti-stimulus-body").orElse(stimulus);
        stimuli.add(new Stimulus(new QtiProseReader(address -> figure(resolve(folder(href), address))).read(body)));
        stimulusPlaces.put(href, stimuli.size() - 1);
        return stimuli.size() - 1;
    }

    /** The figure's id: its file's bare name; empty where the package has no such file. */
    private String figure(String href) {
        Optional<byte[]> bytes = parts.find(href);
        if (bytes.isEmpty()) {
            remarks.add("The picture " + href + " is missing.");
            return "";
        }
        String file = href.substring(href.lastIndexOf('/') + 1);
        String id = file.replaceFirst("\\.[A-Za-z0-9]+$", "").replaceAll("[^A-Za-z0-9_-]", "-");
        figures.putIfAbsent(id, new Figure(id, mediaType(file), "", bytes.get()));
        return id;
    }

    private static String mediaType(String file) {
        String ending = file.substring(file.lastIndexOf('.') + 1).toLowerCase(java.util.Locale.ROOT);
        return switch (ending) {
            case "jpg", "jpeg" -> "image/jpeg";
            case "gif" -> "image/gif";
            case "svg" -> "image/svg+xml";
            default -> "image/png";
        };
    }

    private static String folder(String href) {
        return href.contains("/") ? href.substring(0, href.lastIndexOf('/')) : "";
    }

    /** A relative address inside the package; names only, so nothing outside can be reached. */
    private static String resolve(String folder, String href) {
        List<String> path = new ArrayList<>(folder.isEmpty() ? List.of() : List.of(folder.split("/")));
        for (String step : href.split("/")) {
            if (step.equals("..") && !path.isEmpty()) {
                path.remove(path.size() - 1);
            } else if (!step.equals(".") && !step.equals("..")) {
                path.add(step);
            }
        }
        return String.join("/", path);
    }
}
