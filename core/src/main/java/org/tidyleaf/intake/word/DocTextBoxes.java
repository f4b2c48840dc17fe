package org.tidyleaf.intake.word;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.model.FSPADocumentPart;
import org.apache.poi.hwpf.model.FileInformationBlock;
import org.apache.poi.hwpf.model.GenericPropertyNode;
import org.apache.poi.hwpf.model.PlexOfCps;
import org.apache.poi.hwpf.usermodel.Range;
import org.apache.poi.util.LittleEndian;

/**
 * The text boxes of a .doc: their text is a story of its own (MS-DOC 2.3.5), cut by the table PlcftxbxTxt (2.8.32); each names a
 * shape, whose anchor in the main text the table PlcfSpa (2.8.37) tells.
 */
final class DocTextBoxes {

    /** Where the pairs of place and length of all tables begin in the file's head (MS-DOC 2.5.1), and the one of text boxes. */
    private static final int TABLES = 154;

    private static final int TEXT_BOXES = 56;

    /** In bytes: one pair, the record of a text box (2.9.101) with the place of its shape, and that of an anchor (2.9.253). */
    private static final int PAIR = 8;

    private static final int BOX = 22;
    private static final int SHAPE_OF_BOX = 14;
    private static final int ANCHOR = 26;

    private final TreeMap<Integer, List<Range>> byAnchor = new TreeMap<>();

    DocTextBoxes(HWPFDocument document) {
        Range story = document.getMainTextboxRange();
        if (story.getEndOffset() <= story.getStartOffset()) {
            return;
        }
        try {
            place(document, story);
        } catch (RuntimeException damaged) {
            // The tables lie; the text is there all the same.
            byAnchor.clear();
            byAnchor.put(Integer.MAX_VALUE, List.of(story));
        }
    }

    private void place(HWPFDocument document, Range story) {
        byte[] table = document.getTableStream();
        byte[] head = document.getMainStream();
        PlexOfCps boxes = new PlexOfCps(
                table,
                LittleEndian.getInt(head, TABLES + TEXT_BOXES * PAIR),
                LittleEndian.getInt(head, TABLES + TEXT_BOXES * PAIR + PAIR / 2),
                BOX);
        Map<Integer, Integer> anchors = anchors(document, table);
        // Behind the last box the story ends with a paragraph of its own.
        for (int i = 0; i < boxes.length() - 1; i++) {
            GenericPropertyNode box = boxes.getProperty(i);
            int shape = LittleEndian.getInt(box.getBytes(), SHAPE_OF_BOX);
            int from = story.getStartOffset() + box.getStart();
            int to = Math.min(story.getEndOffset(), story.getStartOffset() + box.getEnd());
            if (from < to) {
                byAnchor.computeIfAbsent(anchors.getOrDefault(shape, Integer.MAX_VALUE), at -> new ArrayList<>())
                        .add(new Range(from, to, document));
            }
        }
    }

    private static Map<Integer, Integer> anchors(HWPFDocument document, byte[] table) {
        FileInformationBlock head = document.getFileInformationBlock();
        PlexOfCps shapes = new PlexOfCps(
                table,
                head.getFSPAPlcfOffset(FSPADocumentPart.MAIN),
                head.getFSPAPlcfLength(FSPADocumentPart.MAIN),
                ANCHOR);
        Map<Integer, Integer> anchors = new HashMap<>();
        for (int i = 0; i < shapes.length(); i++) {
            GenericPropertyNode shape = shapes.getProperty(i);
            anchors.put(LittleEndian.getInt(shape.getBytes(), 0), shape.getStart());
        }
        return anchors;
    }

    /** Those that no place of the main text is known of. */
    List<Range> rest() {
        List<Range> boxes = byAnchor.values().stream().flatMap(List::stream).toList();
        byAnchor.clear();
        return boxes;
    }

    /** Takes out the boxes that are anchored before a place of the main text and were not taken yet. */
    List<Range> before(int place) {
        List<Range> boxes = new ArrayList<>();
        var earlier = byAnchor.headMap(place, false);
        earlier.values().forEach(boxes::addAll);
        earlier.clear();
        return boxes;
    }
}
