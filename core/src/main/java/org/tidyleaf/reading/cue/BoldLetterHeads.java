package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Emphasis;

/**
 * "<b>A</b> Choose the right form.", "<b>B</b> Match the halves.": bold capitals without a sign that count the parts of a test, each
 * with what is to be done there.
 */
final class BoldLetterHeads {

    private static final Pattern LETTER = Pattern.compile("\\s*([A-H])\\s+(?=\\p{Lu}\\p{Ll})");
    private static final int FEWEST = 2;

    private BoldLetterHeads() {}

    static void mark(List<Cues> all) {
        List<Integer> heads = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (isNext(all.get(i), heads.size())) {
                heads.add(i);
            }
        }
        long directing = heads.stream()
                .filter(head -> ExerciseHeads.directs(said(all.get(head)))
                        || ExerciseHeads.directsBelow(all, head)
                        || isOverNumber(all, head))
                .count();
        if (heads.size() < FEWEST || directing * 3 < heads.size() * 2) {
            return;
        }
        for (int head : heads) {
            Cues cues = all.get(head);
            int from = cues.piece().segment().from();
            Matcher letter = LETTER.matcher(cues.line().text())
                    .region(from, cues.piece().segment().to());
            int end = letter.lookingAt() ? letter.end() : from;
            Label label = new Label(Label.Kind.LETTER, heads.indexOf(head) + 1, printed(cues), "A.", from, end);
            all.set(head, cues.withLabels(List.of(label)));
            all.get(head).traits().add(Cues.Trait.SECTION_WORD);
        }
    }

    private static boolean isNext(Cues cues, int above) {
        Matcher letter = LETTER.matcher(cues.text());
        boolean possible = cues.piece().first()
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && letter.lookingAt()
                && letter.group(1).charAt(0) == 'A' + above;
        int at = cues.piece().segment().from() + (possible ? letter.start(1) : 0);
        return possible && cues.line().carries(Emphasis.BOLD, at);
    }

    /** "<b>F  Writing</b>" and right below it the next number. */
    private static boolean isOverNumber(List<Cues> all, int head) {
        return head + 1 < all.size()
                && all.get(head + 1).has(Label.Kind.NUMBER)
                && !all.get(head).is(Cues.Trait.QUESTION_MARK);
    }

    private static String printed(Cues cues) {
        return cues.text().strip().substring(0, 1);
    }

    private static String said(Cues cues) {
        Matcher letter = LETTER.matcher(cues.text());
        return letter.lookingAt() ? cues.text().substring(letter.end()) : "";
    }
}
