package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/** "Q.1 (A) Fill in the blanks.", "(B) True or false?", "(C) Match the pairs.": letters in bold that part what one number holds. */
final class LettersBelowNumbers {

    private static final Pattern FIRST = Pattern.compile("\\s*[(\\[]?A[)\\].]\\s.*");

    private LettersBelowNumbers() {}

    static void mark(List<Cues> all) {
        char next = 0;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Optional<Label> number = cues.labels().stream()
                    .filter(label -> label.kind() == Label.Kind.NUMBER && Label.isWorded(label.shape()))
                    .findFirst();
            if (number.isPresent()) {
                String behind = cues.line()
                        .text()
                        .substring(number.get().end(), cues.piece().segment().to());
                next = cues.is(Trait.BOLD) && FIRST.matcher(behind).matches() ? 'B' : 0;
            } else if (next > 0 && isHead(cues, next)) {
                all.set(i, cues.withLabels(List.of()));
                all.get(i).traits().add(Trait.SECTION_WORD);
                next++;
            }
        }
    }

    private static boolean isHead(Cues cues, char letter) {
        return cues.is(Trait.BOLD)
                && cues.line().layout().cell().isEmpty()
                && cues.labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.LETTER
                                && label.printed().equals(String.valueOf(letter)));
    }
}
