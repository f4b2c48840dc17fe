package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "100%  the queen", "0%  a drone": before each option what choosing it earns. Right are those that earn something. */
final class PercentsBefore {

    /** Far from the text, or in brackets, so that "25 % of the bees" is an option's own. */
    private static final Pattern PERCENT = Pattern.compile(
            "\\s*(?:([+\u2212-]?\\d{1,3})\\s?%(?:\\s*\\t|\\s{2,}|\\s*[:\u2013-]\\s)\\s*|[(\\[]\\s*([+\u2212-]?\\d{1,3})\\s?%\\s*[)\\]]\\s*)(?=\\S)");

    private static final int WHOLE = 100;

    /** What thirds and sixths leave of a hundred. */
    private static final int ROUNDED_OFF = 2;

    private PercentsBefore() {}

    static void mark(List<Cues> all) {
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i <= all.size(); i++) {
            if (i < all.size() && percent(all.get(i)).lookingAt()) {
                run.add(i);
            } else if (i == all.size() || all.get(i).piece().first()) {
                mark(all, run);
                run.clear();
            }
        }
    }

    private static void mark(List<Cues> all, List<Integer> run) {
        int earned = 0;
        for (int i : run) {
            earned += Math.max(0, value(all.get(i)));
        }
        boolean whole = run.size() > 1
                && run.stream().anyMatch(i -> value(all.get(i)) > 0)
                && run.stream().anyMatch(i -> value(all.get(i)) <= 0)
                && Math.abs(earned - WHOLE) <= ROUNDED_OFF;
        for (int i : whole ? run : List.<Integer>of()) {
            Cues cues = all.get(i);
            Matcher percent = percent(cues);
            percent.lookingAt();
            all.set(i, cues.withSign(new Cues.Sign(start(cues), percent.end(), value(cues) > 0)));
        }
    }

    private static int value(Cues cues) {
        Matcher percent = percent(cues);
        percent.lookingAt();
        String said = percent.group(1) == null ? percent.group(2) : percent.group(1);
        return Integer.parseInt(said.replace('\u2212', '-'));
    }

    private static Matcher percent(Cues cues) {
        return PERCENT.matcher(cues.line().text())
                .region(start(cues), cues.piece().segment().to());
    }

    /** Behind the option's letter, where it has one. */
    private static int start(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER)
                .mapToInt(Label::end)
                .findFirst()
                .orElse(cues.piece().segment().from());
    }
}
