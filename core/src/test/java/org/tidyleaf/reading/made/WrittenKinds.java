package org.tidyleaf.reading.made;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.made.Habits.Points;

/** Types what is answered in words or numbers. */
final class WrittenKinds {

    private static final String LINE_TO_WRITE_ON = "______________________________________________________________";
    private static final String LINE_OF_COLUMN = "____________________________";

    private final Typist typist;

    WrittenKinds(Typist typist) {
        this.typist = typist;
    }

    void gap(Content.Asked asked) {
        typist.stem("", asked.text().replace("_", typist.habits().gap().printed), "");
        typist.answer(String.join(" / ", asked.accepted()), "");
        // Where dots run into the full stop, nobody can tell it from them.
        String stem = typist.habits().gap() == Habits.Gap.DOTS ? asked.text().replaceFirst("_\\.$", "_") : asked.text();
        typist.expect("text-entry", stem.replace("_", "[[1]]"), typist.key(String.join(" / ", asked.accepted())));
    }

    void gaps(Content.Asked asked) {
        typist.stem("", asked.text().replace("_", typist.habits().gap().printed), "");
        typist.answer(String.join("; ", asked.accepted()), "");
        String stem = typist.habits().gap() == Habits.Gap.DOTS ? asked.text().replaceFirst("_\\.$", "_") : asked.text();
        String keys = String.join("\n    = ", asked.accepted());
        typist.expect("text-entry", numbered(stem), typist.key(keys));
    }

    /** Words to mark in the sentence itself. */
    void marks(Content.Asked asked) {
        typist.stem("", asked.text(), "");
        typist.answer(asked.accepted().get(0), "");
        typist.expect("hottext", asked.text(), typist.key(asked.accepted().get(0)));
    }

    private String lineToWriteOn() {
        return typist.habits().twoColumns() ? LINE_OF_COLUMN : LINE_TO_WRITE_ON;
    }

    private static String numbered(String text) {
        String numbered = text;
        for (int i = 1; numbered.contains("_"); i++) {
            numbered = numbered.replaceFirst("_", "[[" + i + "]]");
        }
        return numbered;
    }

    void asked(Content.Asked asked) {
        typist.stem("", asked.text(), "");
        if (!typist.hasKey()) {
            typist.page().line("______________________________");
        }
        typist.answer(String.join(" / ", asked.accepted()), "");
        typist.expect("text-entry", asked.text(), typist.key(String.join(" / ", asked.accepted())));
    }

    void number(Content.Number asked) {
        typist.stem("", asked.text(), "");
        if (!typist.hasKey()) {
            typist.page().line(typist.say("Answer") + ": ______________ " + asked.unit());
        }
        typist.answer(asked.value() + " " + asked.unit(), "");
        typist.expect("numeric-entry", asked.text(), typist.key(asked.value() + " " + asked.unit()));
    }

    void essay(Content.Asked asked) {
        typist.stem("", asked.text(), "");
        if (!typist.hasKey()) {
            typist.page().line(lineToWriteOn());
            typist.page().line(lineToWriteOn());
            typist.page().line(lineToWriteOn());
        }
        typist.answer(asked.accepted().get(0), "");
        typist.expect("extended-text", asked.text(), typist.key(asked.accepted().get(0)));
    }

    void bank(Content.Bank bank) {
        typist.stem("", bank.stem(), "");
        String words = String.join(typist.number() % 2 == 0 ? ", " : "   ", bank.words());
        typist.page().line(typist.number() % 2 == 0 ? typist.say("Words") + ": " + words : words);
        typist.page().line(bank.text().replace("_", typist.habits().gap().printed));
        List<String> right = bank.key().stream().map(bank.words()::get).toList();
        typist.answer(String.join(", ", right), "");
        typist.expect(
                "gap-match",
                bank.stem() + " " + numbered(bank.text()),
                typist.hasKey() ? "\n    = " + String.join("\n    = ", right) : "");
    }

    void lettered(Content.Parts parts) {
        typist.stem("", parts.lead(), "");
        typist.under(parts.lead());
        // What the whole is worth is shared out where it comes out even.
        boolean shared =
                typist.habits().points() != Points.NONE && parts.parts().size() == 2;
        for (int i = 0; i < parts.parts().size(); i++) {
            Content.Asked asked = parts.parts().get(i);
            String letter = String.valueOf((char) ('a' + i));
            typist.page().line("(" + letter + ") " + asked.text());
            if (!typist.hasKey()) {
                typist.page().line(lineToWriteOn());
                typist.page().line(lineToWriteOn());
            }
            String answer = asked.accepted().get(0);
            Optional<String> points = shared ? Optional.of("1") : Optional.empty();
            typist.expectPart(letter, "extended-text", points, asked.text(), typist.key(answer));
            typist.answerPart(letter, answer);
        }
        typist.under("");
    }
}
