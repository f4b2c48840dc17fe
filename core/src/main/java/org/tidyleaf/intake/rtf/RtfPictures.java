package org.tidyleaf.intake.rtf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.source.Figure;

/** Gathers the pictures of a rich text, whose bytes are written as digits. One per document, not shared. */
final class RtfPictures {

    private final List<Figure> figures = new ArrayList<>();
    private final StringBuilder digits = new StringBuilder();
    private final StringBuilder propertyName = new StringBuilder();
    private final StringBuilder propertyValue = new StringBuilder();
    private String mediaType = "";
    private String alternative = "";

    void begin() {
        digits.setLength(0);
        mediaType = "";
        alternative = "";
    }

    /** Numbers of shapes (Rich Text Format 1.9.1, drawing objects: msosptRectangle 1, round 2, line 20, connector 32 …). */
    private static final Set<String> PLAIN_SHAPES = Set.of("0", "1", "2", "20", "32", "75", "202");

    void type(String type) {
        mediaType = type;
    }

    void digits(String printed) {
        digits.append(printed);
    }

    void beginProperty() {
        propertyName.setLength(0);
        propertyValue.setLength(0);
    }

    void propertyName(String part) {
        propertyName.append(part);
    }

    void propertyValue(String part) {
        propertyValue.append(part);
    }

    /**
     * Of the properties only the description for those who can't see the picture is kept.
     *
     * @return whether the property says that something is drawn which is neither picture, text box, frame nor line
     */
    boolean endProperty() {
        String name = propertyName.toString().strip();
        String value = propertyValue.toString().strip();
        if (name.equals("wzDescription")) {
            alternative = value;
        }
        return name.equals("shapeType") && !PLAIN_SHAPES.contains(value);
    }

    /** Ends the picture and gives its id; nothing where it holds no bytes. */
    Optional<String> end() {
        String hex = digits.toString().replaceAll("[^0-9a-fA-F]", "");
        digits.setLength(0);
        if (hex.length() < 2) {
            return Optional.empty();
        }
        byte[] bytes = new byte[hex.length() / 2];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) Integer.parseInt(hex.substring(2 * i, 2 * i + 2), 16);
        }
        String id = "f" + (figures.size() + 1);
        figures.add(new Figure(id, mediaType, alternative, bytes));
        return Optional.of(id);
    }

    List<Figure> figures() {
        return List.copyOf(figures);
    }
}
