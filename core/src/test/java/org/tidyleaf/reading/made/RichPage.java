package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;

/** A page as rich text (.rtf), its automatic labels as the word processor leaves them for readers without lists. */
final class RichPage {

    private static final int INDENT = 567;
    private static final int CELL = 4500;
    private static final int TWIPS_A_POINT = 20;

    private RichPage() {}

    static byte[] save(Page page) {
        StringBuilder rtf = new StringBuilder("{\\rtf1\\ansi\\ansicpg1252\\uc1{\\fonttbl{\\f0 Times New Roman;}}");
        rtf.append("{\\colortbl;\\red192\\green0\\blue0;\\red255\\green255\\blue0;}\n");
        for (Page.Block block : page.blocks()) {
            if (block instanceof Page.Paragraph line) {
                paragraph(page, line, rtf);
            } else if (block instanceof Page.Picture picture) {
                rtf.append("\\pard\\plain {\\pict\\pngblip\\picwgoal").append(Page.WIDE * TWIPS_A_POINT);
                rtf.append("\\pichgoal").append(Page.HIGH * TWIPS_A_POINT).append('\n');
                rtf.append(HexFormat.of().formatHex(picture.png())).append("}\\par\n");
            } else if (block instanceof Page.Table table) {
                table(table, rtf);
            }
        }
        return rtf.append('}').toString().getBytes(StandardCharsets.US_ASCII);
    }

    private static void paragraph(Page page, Page.Paragraph line, StringBuilder rtf) {
        rtf.append("\\pard\\plain\\li").append(line.indent() * INDENT).append(' ');
        page.label(line)
                .ifPresent(label ->
                        rtf.append("{\\listtext ").append(escaped(label)).append("\\tab}"));
        line.words().forEach(words -> rtf.append(run(words)));
        rtf.append("\\par\n");
    }

    private static String run(Page.Words words) {
        String look = switch (words.look()) {
            case PLAIN -> "";
            case BOLD -> "\\b";
            case RED -> "\\cf1";
            case YELLOW -> "\\highlight2";
            case UNDERLINED -> "\\ul";
        };
        return "{" + look + (look.isEmpty() ? "" : " ") + escaped(words.text()) + "}";
    }

    private static void table(Page.Table table, StringBuilder rtf) {
        for (List<Page.Cell> row : table.rows()) {
            rtf.append("\\trowd");
            for (int i = 1; i <= row.size(); i++) {
                rtf.append("\\cellx").append(i * CELL);
            }
            row.forEach(cell -> rtf.append("\\pard\\plain\\intbl ")
                    .append(cell.lines().stream().map(RichPage::run).collect(Collectors.joining("\\par\n")))
                    .append("\\cell"));
            rtf.append("\\row\n");
        }
    }

    private static String escaped(String text) {
        StringBuilder escaped = new StringBuilder();
        for (char sign : text.toCharArray()) {
            if (sign == '\t') {
                escaped.append("\\tab ");
            } else if (sign == '\\' || sign == '{' || sign == '}') {
                escaped.append('\\').append(sign);
            } else if (sign > 126) {
                escaped.append("\\u").append((int) (short) sign).append('?');
            } else {
                escaped.append(sign);
            }
        }
        return escaped.toString();
    }
}
