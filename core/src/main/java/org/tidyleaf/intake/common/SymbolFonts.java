package org.tidyleaf.intake.common;

import java.util.Locale;
import org.apache.pdfbox.pdmodel.font.encoding.GlyphList;
import org.apache.pdfbox.pdmodel.font.encoding.SymbolEncoding;

/**
 * Signs of the symbol fonts, which word processors keep by their place in the font (0 to 255) or, with 0xF000 added, in
 * Unicode's private use area.
 */
public final class SymbolFonts {

    private static final int PRIVATE = 0xF000;

    private SymbolFonts() {}

    /** Whether the font prints signs where others print letters. */
    public static boolean isSymbolic(String font) {
        String name = font.toLowerCase(Locale.ROOT);
        return name.equals("symbol") || name.contains("dings");
    }

    /** A text in which every private sign is put into Unicode; the rest stays. */
    public static String read(String font, String text) {
        if (text.chars().noneMatch(SymbolFonts::isPrivate)) {
            return text;
        }
        StringBuilder read = new StringBuilder();
        text.chars().forEach(c -> read.append(isPrivate(c) ? sign(font, c - PRIVATE) : String.valueOf((char) c)));
        return read.toString();
    }

    /**
     * The sign at a place of the font: Greek letters and signs of the Symbol font (Adobe's Symbol encoding, as PDFBox
     * carries it), ticks and boxes of the others. Anything else is a bullet, so that a reader sees that something stood there.
     */
    public static String sign(String font, int code) {
        if (font.equalsIgnoreCase("symbol")) {
            String name = SymbolEncoding.INSTANCE.getName(code);
            String unicode = GlyphList.getAdobeGlyphList().toUnicode(name);
            return unicode == null ? "\u2022" : unicode;
        }
        return ListLabels.bullet(String.valueOf((char) (PRIVATE + code)));
    }

    private static boolean isPrivate(int c) {
        return c >= PRIVATE + 0x20 && c <= PRIVATE + 0xFF;
    }
}
