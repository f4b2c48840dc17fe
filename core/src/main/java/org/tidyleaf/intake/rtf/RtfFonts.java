package org.tidyleaf.intake.rtf;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.HashMap;
import java.util.Map;
import org.tidyleaf.intake.common.SymbolFonts;

/** The fonts of a rich text, by which its bytes are to be read. One per document, not shared. */
final class RtfFonts {

    /** Code pages by the number of a font's character set (RTF 1.9.1, Font Table). */
    private static final Map<Integer, Integer> CODE_PAGES =
            Map.of(161, 1253, 162, 1254, 163, 1258, 177, 1255, 178, 1256, 186, 1257, 204, 1251, 222, 874, 238, 1250);

    private final Map<Integer, String> names = new HashMap<>();
    private final Map<Integer, Integer> charsets = new HashMap<>();
    private Charset standard = codePage(1252);
    private int current;

    /** The code page of the whole file. */
    void setCodePage(int number) {
        standard = codePage(number);
    }

    /** The font that the next words of the table describe. */
    void begin(int font) {
        current = font;
    }

    void charset(int charset) {
        charsets.put(current, charset);
    }

    void name(String part) {
        names.merge(current, part.replace(";", "").strip(), String::concat);
    }

    String nameOf(int font) {
        return names.getOrDefault(font, "");
    }

    /** The text of bytes that were written in a font. */
    String decode(int font, byte[] bytes) {
        if (SymbolFonts.isSymbolic(nameOf(font))) {
            StringBuilder signs = new StringBuilder();
            for (byte one : bytes) {
                signs.append(one == ' ' ? " " : SymbolFonts.sign(nameOf(font), one & 0xFF));
            }
            return signs.toString();
        }
        Integer page = CODE_PAGES.get(charsets.getOrDefault(font, 0));
        return new String(bytes, page == null ? standard : codePage(page));
    }

    private static Charset codePage(int number) {
        try {
            return Charset.forName(number == 874 ? "x-windows-874" : "windows-" + number);
        } catch (UnsupportedCharsetException | IllegalCharsetNameException unknown) {
            // An unknown code page reads as the Western one.
            return Charset.forName("windows-1252");
        }
    }
}
