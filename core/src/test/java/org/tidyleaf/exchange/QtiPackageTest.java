package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.xpath.XPath;
import javax.xml.xpath.XPathConstants;
import javax.xml.xpath.XPathFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;
import org.w3c.dom.Document;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;

/**
 * Packages against the rules of QTI 3.0 and of IMS content packaging (1EdTech), looked at by an XML parser and XPath that
 * share nothing with the writer; and packages read back.
 */
class QtiPackageTest {

    /** Every type once, as a teacher would type it. */
    static final String ALL_TYPES = """
            All sorts of questions
            Part A: Choose
            Choose the best answer.
            1. Which bee lays eggs? (2 points)
            A. the *queen*
            B. the drone
            C. none of the above
            Answer: A
            Explanation: Drones & workers don't lay <fertile> eggs.
            Hint: She is the longest.
            2. Which two live in summer?
            A. drones *
            B. workers *
            C. wasps
            3. Bees see red. True / False
            Answer: False
            Read this text and answer questions 4-5.
            A colony has one queen. She lives for years.
            4. A colony has one ______ and many ______ . (3 points)
            Answer: (1) queen (2) workers / worker bees
            5. How many millimetres wide is a bee space?
            Answer: 8 mm (\u00b1 2)
            Part B: Do
            6. Explain why \\(x^{2}\\) grows faster than x.
            Marking note: squares & sides
            7. Match each tool with its use. (2 points)
            1) smoker\ta) calms
            2) veil\tb) covers
            Answer: 1-a, 2-b
            8. Put these steps into the right order.
            A. Close the hive.
            B. Open the hive.
            C. Look inside.
            Answer: B, C, A
            9. Fill the gaps with words from the box.
            comb   wax   honey   pollen
            Bees build ______ of ______ .
            Answers: comb, wax
            10. Underline the tools. (2 points)
            She took the smoker and the veil and went out to the hives in the garden.
            Answer: smoker, veil
            """;

    /** The documents among the test resources; others of one's own by {@code -Dtidyleaf.documents=FOLDER}. */
    static List<Path> documents() throws IOException {
        Path folder = Path.of("src/test/resources");
        String others = System.getProperty("tidyleaf.documents");
        if (others != null) {
            try (Stream<Path> files = Files.list(Path.of(others))) {
                return files.filter(file -> new Intake().reads(file.toString()))
                        .sorted()
                        .toList();
            }
        }
        try (Stream<Path> files =
                Stream.concat(Files.list(folder.resolve("documents")), Files.list(folder.resolve("formats")))) {
            return files.filter(file -> !file.toString().endsWith(".expected"))
                    .sorted()
                    .toList();
        }
    }

    static Quiz quiz(String name, byte[] bytes) throws IntakeException {
        Source source = new Intake().read(name, bytes);
        return new Reader().read(source, Pins.NONE).quiz();
    }

    static Function<String, Optional<Figure>> figures(Source source) {
        return id -> source.figures().stream()
                .filter(figure -> figure.id().equals(id))
                .findFirst();
    }

    private static byte[] written(Quiz quiz) throws IOException {
        return written(QtiPackage.Version.V30, quiz);
    }

    private static byte[] written(QtiPackage.Version version, Quiz quiz) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        QtiPackage.write(version, quiz, id -> Optional.empty(), out);
        return out.toByteArray();
    }

    /** A question that says no points comes back with the usual ones; all else has to be as it was. */
    private static List<Question> comparable(Quiz quiz) {
        return quiz.questions().stream()
                .map(question -> question.withParticulars(question.particulars()
                        .withPoints(Optional.of(Marker.most(question).stripTrailingZeros()))
                        .placed(0, question.particulars().stimulus() < 0 ? -1 : 0)))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("documents")
    void aPackageReadBackIsTheSameTest(Path document) throws IOException, IntakeException {
        Source source = new Intake().read(document.getFileName().toString(), Files.readAllBytes(document));
        Quiz quiz = new Reader().read(source, Pins.NONE).quiz();
        for (QtiPackage.Version version : QtiPackage.Version.values()) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            QtiPackage.write(version, quiz, figures(source), out);
            readsBack(quiz, out.toByteArray());
        }
    }

    private static void readsBack(Quiz quiz, byte[] written) throws IntakeException {
        Imported back = QtiReader.read("package.zip", written);
        assertThat(back.remarks()).isEmpty();
        assertThat(back.quiz().title()).isEqualTo(quiz.title());
        assertThat(comparable(back.quiz())).isEqualTo(comparable(quiz));
        for (int i = 0; i < quiz.questions().size(); i++) {
            var before = quiz.questions().get(i).particulars();
            var after = back.quiz().questions().get(i).particulars();
            if (before.section() >= 0) {
                assertThat(back.quiz().sections().get(after.section()))
                        .isEqualTo(quiz.sections().get(before.section()));
            }
            if (before.stimulus() >= 0) {
                assertThat(back.quiz().stimuli().get(after.stimulus()))
                        .isEqualTo(quiz.stimuli().get(before.stimulus()));
            }
        }
    }

    @Test
    void everyTypeIsInAPackageThatKeepsTheRules() throws Exception {
        Quiz quiz = quiz("all.txt", ALL_TYPES.getBytes(StandardCharsets.UTF_8));
        assertThat(quiz.questions())
                .extracting(Question::type)
                .contains(
                        QuestionType.SINGLE_CHOICE,
                        QuestionType.MULTIPLE_CHOICE,
                        QuestionType.TRUE_FALSE,
                        QuestionType.TEXT_ENTRY,
                        QuestionType.NUMERIC_ENTRY,
                        QuestionType.EXTENDED_TEXT,
                        QuestionType.MATCH,
                        QuestionType.ORDER,
                        QuestionType.GAP_MATCH,
                        QuestionType.HOTTEXT);
        byte[] bytes = written(quiz);
        assertThat(written(quiz)).isEqualTo(bytes);
        check(bytes);
        assertThat(comparable(QtiReader.read("p.zip", bytes).quiz())).isEqualTo(comparable(quiz));
    }

    /**
     * QTI 2.1 (1EdTech, assessment item information model): no element or attribute of 3.0 is left, everything of QTI's own
     * stands in its namespace, and MathML in MathML's.
     */
    /** QTI, timeLimits: maxTime is in seconds. */
    @Test
    void aTimeLimitGoesAlongAndIsSaidWhenItComesBack() throws IOException, IntakeException {
        Quiz quiz = quiz("all.txt", ALL_TYPES.getBytes(StandardCharsets.UTF_8));
        for (QtiPackage.Version version : QtiPackage.Version.values()) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            QtiPackage.writeTimed(version, quiz, 45, id -> Optional.empty(), out);
            String limits = version == QtiPackage.Version.V30
                    ? "<qti-time-limits max-time=\"2700\"/>"
                    : "<timeLimits maxTime=\"2700\"/>";
            assertThat(entry(out.toByteArray(), "test.xml")).contains(limits);
            assertThat(QtiReader.read("timed.zip", out.toByteArray()).remarks())
                    .singleElement()
                    .asString()
                    .contains("45 minutes");
        }
    }

    /** QTI 3.0 and 2.1, response processing: match_correct for all or nothing, a mapping with a negative default for wrong parts. */
    @ParameterizedTest
    @EnumSource(
            value = PartialMarks.class,
            names = {"WHOLE", "LESS_WRONG"})
    void whatPartsEarnGoesAlong(PartialMarks partial) throws IOException, IntakeException {
        Quiz plain = quiz("all.txt", ALL_TYPES.getBytes(StandardCharsets.UTF_8));
        List<Question> ruled = plain.questions().stream()
                .filter(question -> question instanceof Match
                        || question instanceof GapMatch
                        || question instanceof Order && partial == PartialMarks.WHOLE
                        || question instanceof TextEntry text
                                && text.gaps().size() > 1
                                && partial == PartialMarks.WHOLE)
                .map(question -> question.withParticulars(question.particulars()
                        .withSettings(question.particulars().settings().withPartial(Optional.of(partial)))))
                .toList();
        assertThat(ruled).hasSizeGreaterThan(1);
        Quiz test = new Quiz(plain.title(), plain.sections(), plain.stimuli(), ruled);
        for (QtiPackage.Version version : QtiPackage.Version.values()) {
            Quiz back = QtiReader.read("test.zip", written(version, test)).quiz();
            assertThat(back.questions())
                    .as(version.name())
                    .extracting(question -> question.particulars().settings().partial())
                    .containsOnly(Optional.of(partial));
            assertThat(comparable(back)).isEqualTo(comparable(test));
        }
    }

    @Test
    void theOlderVersionSpeaksItsOwnWords() throws Exception {
        Quiz quiz = quiz("all.txt", ALL_TYPES.getBytes(StandardCharsets.UTF_8));
        Map<String, byte[]> files = unzip(written(QtiPackage.Version.V21, quiz));
        assertThat(new String(files.get("imsmanifest.xml"), StandardCharsets.UTF_8))
                .contains("imsqti_item_xmlv2p1", "imsqti_test_xmlv2p1")
                .doesNotContain("stimulus");
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            if (!file.getKey().startsWith("items/")) {
                continue;
            }
            Document item = parse(file.getValue());
            assertThat(all(item, "//*[contains(name(), '-')]|//@*[contains(name(), '-')]"))
                    .as(file.getKey())
                    .isEmpty();
            assertThat(item.getDocumentElement().getAttribute("xmlns"))
                    .isEqualTo("http://www.imsglobal.org/xsd/imsqti_v2p1");
            List<String> declared = all(item, "//responseDeclaration/@identifier");
            assertThat(declared).as(file.getKey()).isNotEmpty().containsAll(all(item, "//@responseIdentifier"));
            assertThat(all(item, "//responseDeclaration[@baseType='string']//mapEntry[not(@caseSensitive)]"))
                    .isEmpty();
        }
    }

    static Map<String, byte[]> unzip(byte[] bytes) throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                assertThat(files.put(entry.getName(), zip.readAllBytes()))
                        .as("twice: " + entry.getName())
                        .isNull();
            }
        }
        return files;
    }

    static Document parse(byte[] xml) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(xml));
    }

    static List<String> all(Node node, String path) throws Exception {
        XPath xpath = XPathFactory.newInstance().newXPath();
        NodeList found = (NodeList) xpath.evaluate(path, node, XPathConstants.NODESET);
        List<String> values = new ArrayList<>();
        for (int i = 0; i < found.getLength(); i++) {
            values.add(found.item(i).getTextContent().strip());
        }
        return values;
    }

    /**
     * IMS content packaging: every file of the manifest is there and every file of the package is in the manifest; QTI 3.0:
     * right responses name choices that exist, what is asked is declared, identifiers are unique, nothing bare stands in a
     * body, map entries of texts say whether case counts.
     */
    private static void check(byte[] bytes) throws Exception {
        Map<String, byte[]> files = unzip(bytes);
        Document manifest = parse(files.get("imsmanifest.xml"));
        Set<String> listed = new HashSet<>(all(manifest, "//file/@href"));
        listed.add("imsmanifest.xml");
        assertThat(listed).isEqualTo(files.keySet());
        assertThat(all(manifest, "//resource/@identifier"))
                .doesNotHaveDuplicates()
                .containsAll(all(manifest, "//dependency/@identifierref"));
        assertThat(all(parse(files.get("test.xml")), "//qti-assessment-item-ref/@href"))
                .isNotEmpty()
                .allMatch(files::containsKey);
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            if (file.getKey().startsWith("items/")) {
                item(file.getKey(), parse(file.getValue()));
            }
        }
    }

    private static void item(String name, Document item) throws Exception {
        List<String> declared = all(item, "//qti-response-declaration/@identifier");
        assertThat(declared).as(name).doesNotHaveDuplicates().containsAll(all(item, "//@response-identifier"));
        List<String> choices = all(
                item,
                "//qti-simple-choice/@identifier|//qti-simple-associable-choice/@identifier|//qti-gap/@identifier"
                        + "|//qti-gap-text/@identifier|//qti-hottext/@identifier");
        assertThat(choices).as(name).doesNotHaveDuplicates().allMatch(id -> id.matches("[A-Za-z_][A-Za-z0-9_.-]*"));
        String named = "//qti-response-declaration[@base-type='identifier' or @base-type='directedPair']";
        for (String value : all(item, named + "//qti-value|" + named + "//@map-key")) {
            assertThat(choices).as(name + " " + value).contains(value.split(" "));
        }
        assertThat(all(item, "//qti-item-body/text()[normalize-space()]"))
                .as(name)
                .isEmpty();
        assertThat(all(item, "//qti-response-declaration[@base-type='string']//qti-map-entry[not(@case-sensitive)]"))
                .isEmpty();
        assertThat(all(item, "//img[not(@alt)]")).isEmpty();
        assertThat(
                        all(
                                item,
                                "//qti-match-interaction[not(@max-associations)]|//qti-gap-match-interaction[not(@max-associations)]"))
                .isEmpty();
    }

    @Test
    void whatIsNotUnderstoodIsSaidItemByItem() throws IOException, IntakeException {
        Quiz quiz = quiz("all.txt", ALL_TYPES.getBytes(StandardCharsets.UTF_8));
        Map<String, byte[]> files = unzip(written(quiz));
        String first = "items/" + quiz.questions().get(0).id() + ".xml";
        String second = "items/" + quiz.questions().get(1).id() + ".xml";
        files.put(
                first,
                "<qti-assessment-item title='Drawn' xmlns='x'><qti-item-body><qti-drawing-interaction/></qti-item-body></qti-assessment-item>"
                        .getBytes(StandardCharsets.UTF_8));
        files.put(second, "<broken".getBytes(StandardCharsets.UTF_8));
        files.remove("items/" + quiz.questions().get(2).id() + ".xml");
        Imported back = QtiReader.read("p.zip", zip(files));
        assertThat(back.remarks()).hasSize(3).anyMatch(words -> words.contains("Drawn"));
        assertThat(back.quiz().questions()).hasSize(quiz.questions().size() - 3);
    }

    /** OWASP: no entities, no paths out of the archive, nothing fetched. */
    @Test
    void hostilePackagesAreRefusedOrHarmless() throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        files.put(
                "imsmanifest.xml",
                "<!DOCTYPE m [<!ENTITY e SYSTEM 'file:///etc/passwd'>]><m>&e;</m>".getBytes(StandardCharsets.UTF_8));
        byte[] entity = zip(files);
        assertThatThrownBy(() -> QtiReader.read("p.zip", entity)).isInstanceOf(IntakeException.class);
        files.put(
                "imsmanifest.xml",
                "<manifest><resource type='imsqti_item_xmlv3p0' href='../../etc/passwd'/></manifest>"
                        .getBytes(StandardCharsets.UTF_8));
        byte[] path = zip(files);
        assertThat(readOrRefused(path)).contains("not in the package");
        assertThatThrownBy(() -> QtiReader.read("p.zip", zip(Map.of("a.txt", new byte[3]))))
                .hasMessageContaining("imsmanifest.xml");
    }

    private static String readOrRefused(byte[] bytes) {
        try {
            return String.join(" ", QtiReader.read("p.zip", bytes).remarks());
        } catch (IntakeException refused) {
            return String.valueOf(refused.getMessage());
        }
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    /** QTI 3.0: a section's qti-selection says how many of its children are drawn, qti-ordering that they are shuffled (from memory). */
    @Test
    void aPoolDrawsSoManyOfEachTopic() throws IOException, IntakeException {
        Quiz quiz = quiz("pool.txt", """
                1. Who dances?
                A. workers *
                B. drones
                Topic: Dances
                2. Who stings?
                A. workers *
                B. drones
                Topic: Stings
                3. Who dances in circles?
                A. workers *
                B. drones
                Topic: Dances
                """.getBytes(StandardCharsets.UTF_8));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        QtiPackage.writePool(quiz, 1, id -> Optional.empty(), out);
        String test = entry(out.toByteArray(), "test.xml");
        assertThat(test).containsPattern("title=\"Dances\"[^>]*><qti-selection select=\"1\"");
        assertThat(test.split("<qti-assessment-section ")).hasSize(3);
        assertThat(test.split("<qti-assessment-section ")[1]).contains("ref-q1\"", "ref-q9\"");
        Quiz back = QtiReader.read("pool.zip", out.toByteArray()).quiz();
        assertThat(back.questions())
                .extracting(question -> question.particulars().settings().topic())
                .containsExactly("Dances", "Dances", "Stings");
    }

    private static String entry(byte[] zip, String name) throws IOException {
        try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                if (entry.getName().equals(name)) {
                    return new String(entries.readAllBytes(), StandardCharsets.UTF_8);
                }
            }
        }
        throw new AssertionError("no " + name);
    }
}
