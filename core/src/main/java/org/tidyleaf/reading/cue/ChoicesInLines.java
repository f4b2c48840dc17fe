package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Choose the correct word." over "The seeds (is / are) dry." and "She has (gone / went).": where nothing is numbered, each such
 * sentence is a question of its own, and so is each line of
 * words to put in order, and each word with room behind it ("Write the plural.").
 */
final class ChoicesInLines {

    private static final Pattern CHOOSE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("pick") + "\\b");

    private static final Pattern ORDER = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("order") + "\\b");

    private static final Pattern ROOM_BEHIND = Pattern.compile("\\p{L}[^_.:?!\u2026]{1,40}[:=]?\\s*[_.\u2026]{4,}");

    /** More parts between strokes are words to order. */
    private static final int MOST_OFFERED = 4;

    private static final String SHAPE = "line with a choice";

    private static final int FEWEST = 2;

    private ChoicesInLines() {}

    static void label(List<Cues> all) {
        if (Cues.areNumbered(all)) {
            return;
        }
        tell(
                all,
                ChoicesInLines::isChoice,
                above -> CHOOSE.matcher(above.text()).find());
        tell(
                all,
                ChoicesInLines::isJumbled,
                above -> ORDER.matcher(above.text()).find());
        tell(
                all,
                ChoicesInLines::hasRoomBehind,
                above -> above.is(Trait.INSTRUCTION_WORD) && above.is(Trait.ENDS_SENTENCE));
    }

    /** Counts the lines of such a run, room to write between them perhaps, where the line above says what is to be done. */
    private static void tell(List<Cues> all, Predicate<Cues> alike, Predicate<Cues> said) {
        for (int i = 1; i < all.size(); i++) {
            List<Integer> run = new ArrayList<>();
            int at = i;
            while (at < all.size()
                    && (isBare(all.get(at)) && alike.test(all.get(at))
                            || !run.isEmpty() && all.get(at).is(Trait.WRITING_LINE))) {
                if (!all.get(at).is(Trait.WRITING_LINE)) {
                    run.add(at);
                }
                at++;
            }
            if (run.size() >= FEWEST && said.test(all.get(i - 1))) {
                all.get(i - 1).traits().add(Trait.GROUP_HEAD);
                run.forEach(place -> number(all, place, run.indexOf(place) + 1));
            }
            i = Math.max(i, at - 1);
        }
    }

    private static void number(List<Cues> all, int place, int ordinal) {
        int from = all.get(place).piece().segment().from();
        Label number = new Label(Label.Kind.NUMBER, ordinal, "", SHAPE, from, from);
        all.set(place, all.get(place).withLabels(List.of(number)));
    }

    private static boolean isChoice(Cues cues) {
        return Alternatives.hasBrackets(cues.text());
    }

    /** "the / closes / at / greenhouse / six". */
    private static boolean isJumbled(Cues cues) {
        return cues.text().split(" / ").length > MOST_OFFERED && !cues.is(Trait.ENDS_SENTENCE);
    }

    /** "leaf ________". */
    private static boolean hasRoomBehind(Cues cues) {
        return ROOM_BEHIND.matcher(cues.text()).matches();
    }

    private static boolean isBare(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.piece().first()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.text().isEmpty()
                && !Character.isDigit(cues.text().charAt(0));
    }
}
