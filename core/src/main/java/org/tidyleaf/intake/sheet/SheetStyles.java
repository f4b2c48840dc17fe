package org.tidyleaf.intake.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.w3c.dom.Element;

/** Which cell styles of a workbook show a date (ISO/IEC 29500-1, 18.8.30), and whether with its year. */
final class SheetStyles {

    /** What a style shows of a day. */
    enum Shown {
        NO_DATE,
        DAY_AND_MONTH,
        WHOLE_DATE
    }

    private static final Set<String> WHOLE = Set.of("14", "15", "22");

    private final Map<Integer, Shown> byStyle;

    private SheetStyles(Map<Integer, Shown> byStyle) {
        this.byStyle = byStyle;
    }

    static SheetStyles read(String name, ZipParts parts) throws IntakeException {
        Map<Integer, Shown> styles = new HashMap<>();
        Optional<byte[]> part = parts.find("xl/styles.xml");
        if (part.isEmpty()) {
            return new SheetStyles(styles);
        }
        Element root = Xml.parse(name, part.get()).getDocumentElement();
        Map<String, Shown> formats = new HashMap<>(Map.of("16", Shown.DAY_AND_MONTH));
        WHOLE.forEach(format -> formats.put(format, Shown.WHOLE_DATE));
        for (Element format : Xml.child(root, "numFmts").map(Xml::children).orElse(List.of())) {
            formats.put(Xml.attribute(format, "numFmtId"), shown(Xml.attribute(format, "formatCode")));
        }
        List<Element> cells = Xml.child(root, "cellXfs").map(Xml::children).orElse(List.of());
        for (int i = 0; i < cells.size(); i++) {
            styles.put(i, formats.getOrDefault(Xml.attribute(cells.get(i), "numFmtId"), Shown.NO_DATE));
        }
        return new SheetStyles(styles);
    }

    private static Shown shown(String formatCode) {
        String code = formatCode.toLowerCase(Locale.ROOT).replaceAll("\\[[^\\]]*]|\"[^\"]*\"", "");
        boolean day = code.contains("d") && code.contains("m") && !code.contains("h");
        if (!day) {
            return Shown.NO_DATE;
        }
        return code.contains("y") ? Shown.WHOLE_DATE : Shown.DAY_AND_MONTH;
    }

    Shown of(Element cell) {
        String style = Xml.attribute(cell, "s");
        return style.matches("\\d{1,5}") ? byStyle.getOrDefault(Integer.parseInt(style), Shown.NO_DATE) : Shown.NO_DATE;
    }
}
