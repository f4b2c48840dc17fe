package org.tidyleaf.exchange;

/** XML written piece by piece; text and attributes are escaped here and nowhere else. */
final class XmlText {

    private final StringBuilder out = new StringBuilder();

    /** Opens an element with attributes given as name, value, name, value. */
    XmlText open(String name, String... attributes) {
        out.append('<').append(name);
        attributes(attributes);
        out.append('>');
        return this;
    }

    XmlText close(String name) {
        out.append("</").append(name).append('>');
        return this;
    }

    /** An element without content. */
    XmlText empty(String name, String... attributes) {
        out.append('<').append(name);
        attributes(attributes);
        out.append("/>");
        return this;
    }

    /** An element with nothing but text. */
    XmlText element(String name, String text, String... attributes) {
        return open(name, attributes).text(text).close(name);
    }

    XmlText text(String text) {
        out.append(escape(text));
        return this;
    }

    /** What was written by another of these. */
    XmlText markup(String markup) {
        out.append(markup);
        return this;
    }

    private void attributes(String... attributes) {
        for (int i = 0; i + 1 < attributes.length; i += 2) {
            out.append(' ')
                    .append(attributes[i])
                    .append("=\"")
                    .append(escape(attributes[i + 1]))
                    .append('"');
        }
    }

    /** The five entities that XML knows without a document type; characters that XML forbids are left out. */
    static String escape(String text) {
        StringBuilder safe = new StringBuilder(text.length());
        text.codePoints().forEach(sign -> {
            switch (sign) {
                case '&' -> safe.append("&amp;");
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '"' -> safe.append("&quot;");
                case '\'' -> safe.append("&#39;");
                default -> {
                    boolean allowed = sign == '\t' || sign == '\n' || sign >= 0x20 && sign != 0xFFFE && sign != 0xFFFF;
                    if (allowed && !(sign >= 0xD800 && sign <= 0xDFFF)) {
                        safe.appendCodePoint(sign);
                    }
                }
            }
        });
        return safe.toString();
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
