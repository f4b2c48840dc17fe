package org.tidyleaf.web.sitting;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.tidyleaf.question.PartialMarks;

/** The rules of a sitting in short sentences; what is as usual is not said. */
final class RulesWords {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private RulesWords() {}

    static List<String> of(Rules rules, ZoneId zone) {
        List<String> words = new ArrayList<>();
        rules.opens().ifPresent(time -> words.add("Opens " + time(time, zone)));
        rules.closes().ifPresent(time -> words.add("Closes " + time(time, zone)));
        if (rules.minutes() > 0) {
            words.add(rules.minutes() + " minutes for each");
        }
        if (rules.shuffleQuestions() || rules.shuffleOptions()) {
            String what = rules.shuffleQuestions() && rules.shuffleOptions()
                    ? "Questions and options"
                    : rules.shuffleQuestions() ? "Questions" : "Options";
            words.add(what + " shuffled for each");
        }
        if (rules.oneByOne()) {
            words.add(rules.back() ? "One question at a time" : "One question at a time, no going back");
        }
        if (rules.attempts() > 1) {
            words.add(rules.attempts() + " attempts, the " + (rules.best() ? "best" : "last") + " counts");
        }
        if (!rules.word().isEmpty()) {
            words.add("Entry word: " + rules.word());
        }
        if (rules.marking().parts() != PartialMarks.USUAL) {
            words.add("Marked: " + rules.marking().parts().words());
        }
        if (rules.marking().neighbours()) {
            words.add("Orders marked by right neighbours");
        }
        if (!rules.marking().accents() || rules.marking().slips()) {
            words.add(
                    rules.marking().slips()
                            ? "One slip of spelling forgiven"
                                    + (rules.marking().accents() ? "" : ", accents don't matter")
                            : "Accents don't matter");
        }
        words.add("Points shown " + told(rules.marks()));
        words.add("Right answers shown " + told(rules.answers()));
        return words;
    }

    private static String told(Rules.Show show) {
        return show.words().replace(" I ", " you ");
    }

    static String time(Instant time, ZoneId zone) {
        return TIME.format(time.atZone(zone));
    }
}
