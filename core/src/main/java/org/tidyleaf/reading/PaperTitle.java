package org.tidyleaf.reading;

/** The title within the line that holds it. */
final class PaperTitle {

    private PaperTitle() {}

    /** What stands far behind a title is no part of it, unless it is the title itself and before it stands whose paper it is. */
    static String in(String text) {
        String[] parts = text.strip()
                .split("\\t+|\\s{4,}|\\s{3}(?=\\p{L}*:?\\s*\\d|\\p{L}{2,14}:\\s)|\\s+\\|\\s+(?=\\S+:?\\s*_)");
        boolean school = parts.length == 2
                && Vocabulary.ALL.mentions(Words.of(parts[0]), "school_word")
                && Vocabulary.ALL.mentions(Words.of(parts[1]), "test_word");
        return school ? parts[1] : parts[0];
    }
}
