package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Line;

/** Pictures side by side on one line, each with its letter right behind it: "[picture] A   [picture] B". */
public final class PicturesBeforeLetters {

    private static final Pattern LINE =
            Pattern.compile("\\s*(?:" + Line.FIGURE + "\\s*[(]?[A-Ha-h][).]?(?:\\s+|$)){2,8}");

    private static final Pattern PART = Pattern.compile(Line.FIGURE + "|[(]?[A-Ha-h][).]?");

    private PicturesBeforeLetters() {}

    /** The places between pictures and letters; empty where the line is another. */
    static List<Integer> cuts(String text) {
        List<Integer> cuts = new ArrayList<>();
        if (text.indexOf(Line.FIGURE) < 0 || !LINE.matcher(text).matches()) {
            return cuts;
        }
        Matcher part = PART.matcher(text);
        while (part.find()) {
            if (part.start() > 0) {
                cuts.add(part.start());
            }
        }
        return cuts;
    }

    /** Letters each as the one of the picture before it. */
    public static void label(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            List<Integer> letters = new ArrayList<>();
            int at = i;
            while (at + 1 < all.size()
                    && all.get(at).is(Cues.Trait.FIGURE_ONLY)
                    && all.get(at).line() == all.get(i).line()
                    && BareLetters.isAlone(all.get(at + 1), letters.size())) {
                letters.add(at + 1);
                at += 2;
            }
            BareLetters.alone(all, letters, BareLetters.BELOW);
        }
    }
}
