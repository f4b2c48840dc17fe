package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** "I   Tick the box.", "II  True or false?", "III Complete.": numerals without a sign, in a column of their own, that count the parts. */
final class UnsignedNumerals {

    private static final Pattern NUMERAL =
            Pattern.compile("\\s*([IVX]{1,4})(?:\\s{2,}|\\t\\s*|(?<=III|VII)\\s)(?=\\p{Lu})");
    private static final List<String> NUMERALS = List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X");
    private static final int FEWEST = 3;

    private UnsignedNumerals() {}

    static void label(List<Cues> all) {
        List<Integer> heads = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Matcher numeral = NUMERAL.matcher(cues.text());
            boolean next = heads.size() < NUMERALS.size()
                    && cues.piece().first()
                    && cues.labels().isEmpty()
                    && cues.line().layout().cell().isEmpty()
                    && numeral.lookingAt()
                    && numeral.group(1).equals(NUMERALS.get(heads.size()));
            if (next) {
                heads.add(i);
            }
        }
        if (heads.size() < FEWEST) {
            return;
        }
        for (int i = 0; i < heads.size(); i++) {
            Cues cues = all.get(heads.get(i));
            int from = cues.piece().segment().from();
            Matcher numeral = NUMERAL.matcher(cues.line().text())
                    .region(from, cues.piece().segment().to());
            numeral.lookingAt();
            all.set(
                    heads.get(i),
                    cues.withLabels(
                            List.of(new Label(Label.Kind.ROMAN, i + 1, numeral.group(1), "I", from, numeral.end()))));
            all.get(heads.get(i)).traits().add(Cues.Trait.SECTION_WORD);
        }
    }
}
