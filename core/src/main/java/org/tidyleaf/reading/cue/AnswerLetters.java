package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Q: …" and below it "A: …", "P. …" and "R. …": the first letters of the words for question and answer, in turn. Where the letter
 * behind that of the answers never begins a line, it letters no options. The whole word may announce the answers, "Ans: …".
 */
final class AnswerLetters {

    /** Once may be a slip. */
    private static final int IN_EARNEST = 2;

    private static final List<String> SIGNS = List.of(":", ".", ")");

    private final List<Cues> all;
    private final Labelled asked;
    private final Labelled answered;
    private final Labelled next;
    private final Labelled before;

    private AnswerLetters(List<Cues> all, String[] letters, String sign) {
        this.all = all;
        asked = labelled(letters[0], sign);
        before = labelled(String.valueOf((char) (letters[0].charAt(0) - 1)), sign);
        answered = labelled(letters[1], sign);
        next = labelled(String.valueOf((char) (letters[1].charAt(0) + 1)), sign);
    }

    /** A letter with its sign; most lines begin with another letter, and need no pattern tried. */
    private record Labelled(String letter, Pattern pattern) {}

    private static Labelled labelled(String letter, String sign) {
        return new Labelled(letter, Pattern.compile("\\s*" + letter + "\\s?" + Pattern.quote(sign) + "\\s+(?=\\S)"));
    }

    static void mark(List<Cues> all) {
        for (String[] letters : Vocabulary.ALL.letters("asked_letter", "answered_letter")) {
            for (String sign : SIGNS) {
                AnswerLetters pairs = new AnswerLetters(all, letters, sign);
                if (pairs.takeTurns()) {
                    pairs.mark();
                    return;
                }
            }
        }
    }

    private boolean takeTurns() {
        int answers = 0;
        boolean open = false;
        // "C. …" above "D. …" letters options, and "Q. 21 …" has a number.
        boolean alone = all.stream()
                .noneMatch(cues -> begins(cues, before)
                        || begins(cues, asked)
                                && Character.isDigit(cues.line().text().charAt(end(cues, asked))));
        for (Cues cues : all) {
            if (begins(cues, asked)) {
                open = true;
            } else if (begins(cues, answered) || open && alone && cues.announces(Cues.Announces.KEY)) {
                answers++;
                if (!open) {
                    return false;
                }
                open = false;
            } else if (begins(cues, next)) {
                return false;
            }
        }
        return answers >= IN_EARNEST;
    }

    private void mark() {
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            if (begins(cues, asked)) {
                all.set(i, cues.withLabels(List.of(new Label(Label.Kind.CODE, 0, "", "Q:", from, end(cues, asked)))));
            } else if (begins(cues, answered)) {
                Cues.Lead lead = new Cues.Lead(Cues.Announces.KEY, end(cues, answered));
                all.set(i, cues.withLabels(List.of()).withLead(lead));
            }
        }
    }

    private static boolean begins(Cues cues, Labelled label) {
        return cues.piece().first()
                && cues.text().startsWith(label.letter())
                && label.pattern().matcher(cues.line().text()).lookingAt();
    }

    private static int end(Cues cues, Labelled label) {
        Matcher matcher = label.pattern().matcher(cues.line().text());
        return matcher.lookingAt() ? matcher.end() : 0;
    }
}
