package org.tidyleaf.web.course;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * What a package holds, told by its files alone: read as a stream (StAX), with the vocabulary of the standards and nothing
 * of our own.
 *
 * @param items how many of each kind of interaction
 * @param points of all items, drawn or not
 * @param draws what a pool's test draws at random, a sentence for each of its parts; empty for a test given whole
 * @param faults what a course system would complain of
 */
record PackageLook(
        String title,
        String standard,
        Map<String, Integer> items,
        BigDecimal points,
        int pictures,
        List<String> draws,
        List<String> faults) {

    /** Unpacked, a package may be no larger: a bomb is refused. */
    private static final int MOST_BYTES = 200 * 1024 * 1024;

    private static final int MOST_FILES = 5000;

    private static final String MANIFEST = "imsmanifest.xml";

    static PackageLook of(byte[] bytes) throws IOException {
        return new Walk(unpack(bytes)).look();
    }

    private static Map<String, byte[]> unpack(byte[] bytes) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        long all = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] content = zip.readNBytes(MOST_BYTES);
                all += content.length;
                if (all >= MOST_BYTES || files.size() >= MOST_FILES) {
                    throw new IOException("the package is too large");
                }
                files.put(entry.getName(), content);
            }
        }
        if (!files.containsKey(MANIFEST)) {
            throw new IOException("the package has no " + MANIFEST + " at its top");
        }
        return files;
    }

    /** One walk over all files of a package. */
    private static final class Walk {
        private final Map<String, byte[]> files;
        private final Map<String, Integer> items = new TreeMap<>();
        private final List<String> faults = new ArrayList<>();
        private final Set<String> listed = new HashSet<>();
        private final List<String> draws = new ArrayList<>();
        private String part = "";
        private int drawn;
        private int offered;
        private BigDecimal points = BigDecimal.ZERO;
        private String title = "";
        private String standard = "";

        Walk(Map<String, byte[]> files) {
            this.files = files;
        }

        PackageLook look() {
            read(MANIFEST);
            for (String file : listed) {
                if (!files.containsKey(file)) {
                    faults.add(file + " is named in the manifest but missing");
                }
            }
            files.keySet().stream()
                    .filter(name -> name.endsWith(".xml") && !name.equals(MANIFEST))
                    .forEach(this::read);
            int pictures = (int) files.keySet().stream()
                    .filter(name -> name.matches("(?i).*\\.(?:png|jpe?g|gif|svg)"))
                    .count();
            return new PackageLook(title, standard, items, points, pictures, draws, faults);
        }

        private void read(String file) {
            XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
            factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
            factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
            try {
                XMLStreamReader xml =
                        factory.createXMLStreamReader(new ByteArrayInputStream(files.getOrDefault(file, new byte[0])));
                Item item = new Item(file);
                while (xml.hasNext()) {
                    int event = xml.next();
                    if (event == XMLStreamConstants.START_ELEMENT) {
                        started(xml, item);
                    } else if (event == XMLStreamConstants.CHARACTERS) {
                        item.text.append(xml.getText());
                    } else if (event == XMLStreamConstants.END_ELEMENT) {
                        ended(xml.getLocalName(), item);
                    }
                }
                item.close();
            } catch (XMLStreamException broken) {
                faults.add(file + " is no well-formed XML");
            }
        }

        private void started(XMLStreamReader xml, Item item) {
            String name = plain(xml.getLocalName());
            item.text.setLength(0);
            switch (name) {
                case "file" -> listed.add(attribute(xml, "href"));
                case "assessmenttest", "assessment" -> title = attribute(xml, "title");
                case "assessmentitem", "item" -> item.open = !item.file.equals(MANIFEST);
                case "assessmentsection" -> beginPart(attribute(xml, "title"));
                case "selection" -> drawn = number(attribute(xml, "select"));
                case "assessmentitemref" -> offered++;
                case "correctresponse" -> item.right = true;
                case "outcomedeclaration" ->
                    item.most = attribute(xml, "identifier").equals("MAXSCORE");
                case "simplechoice", "simpleassociablechoice", "gap", "gaptext", "hottext", "responselabel" ->
                    item.choices.add(attribute(xml, "identifier") + attribute(xml, "ident"));
                default -> {
                    if (name.endsWith("interaction")
                            || name.startsWith("responselid")
                            || name.startsWith("responsestr")) {
                        item.kinds.add(name.replace("interaction", ""));
                    }
                }
            }
        }

        private void ended(String element, Item item) {
            String text = item.text.toString().strip();
            switch (plain(element)) {
                case "schema" -> standard = text;
                case "schemaversion" -> standard = (standard + " " + text).strip();
                case "value" -> {
                    if (item.most && text.matches("\\d{1,6}(\\.\\d{1,6})?")) {
                        points = points.add(new BigDecimal(text));
                    } else if (item.right) {
                        item.values.add(text);
                    }
                }
                case "fieldlabel" -> item.weight = text.equals("cc_weighting");
                case "fieldentry" -> {
                    if (item.weight && text.matches("\\d{1,6}(\\.\\d{1,6})?")) {
                        points = points.add(new BigDecimal(text));
                    }
                }
                case "assessmentsection" -> endPart();
                case "outcomedeclaration" -> item.most = false;
                case "correctresponse" -> item.right = false;
                case "item" -> item.close();
                default -> {
                    // Everything else says nothing about what arrived.
                }
            }
        }

        private void beginPart(String named) {
            part = named;
            drawn = 0;
            offered = 0;
        }

        private void endPart() {
            if (drawn > offered) {
                faults.add(part + " draws " + drawn + " of only " + offered + " questions");
            } else if (drawn > 0) {
                draws.add(part + ": " + drawn + " of " + offered);
            }
            drawn = 0;
        }

        private static int number(String digits) {
            return digits.matches("\\d{1,6}") ? Integer.parseInt(digits) : 0;
        }

        /** "qti-choice-interaction" and "choiceInteraction" are one word. */
        private static String plain(String name) {
            return name.replaceFirst("^qti-", "").replaceAll("[-_]", "").toLowerCase(java.util.Locale.ROOT);
        }

        private static String attribute(XMLStreamReader xml, String name) {
            String value = xml.getAttributeValue(null, name);
            return value == null ? "" : value;
        }

        private final class Item {
            private final StringBuilder text = new StringBuilder();
            private final Set<String> kinds = new java.util.TreeSet<>();
            private final Set<String> choices = new HashSet<>();
            private final List<String> values = new ArrayList<>();
            private final String file;
            private boolean open;
            private boolean right;
            private boolean most;
            private boolean weight;

            Item(String file) {
                this.file = file;
            }

            void close() {
                if (!open) {
                    return;
                }
                String kind = kinds.isEmpty()
                        ? "without interaction"
                        : kinds.iterator().next();
                items.merge(kind, 1, Integer::sum);
                if (kinds.isEmpty()) {
                    faults.add(file + " has nothing to answer");
                }
                boolean dangling =
                        kind.equals("choice") && values.stream().noneMatch(choices::contains) && !values.isEmpty();
                if (dangling) {
                    faults.add(file + " names a right answer that is no choice");
                }
                kinds.clear();
                choices.clear();
                values.clear();
                open = false;
            }
        }
    }
}
