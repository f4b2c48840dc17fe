package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** "b) a drone  <i>(No, drones have no sting.)</i>": behind options, set apart in brackets, sentences on them. */
public final class RemarksBehindOptions {

    private static final Pattern REMARK = Pattern.compile("\\S\\s+([(\\[][^()\\[\\]]{4,300}[.!?][)\\]])\\s*$");

    private static final Pattern OPTION = Pattern.compile(
            "\\s*(?:[(\\[]?[A-Ha-h][.)\\]:]|[+\u2212-]?\\d{1,3}\\s?%|[\u2610-\u2612\u25a1\u25cb\u25cf\u2022*-])\\s.*");

    private static final List<Emphasis> SIGNS = List.of(Emphasis.ITALIC, Emphasis.COLOR);

    private static final int SEVERAL = 2;

    private RemarksBehindOptions() {}

    /** Where they begin. */
    static RepeatedCuts cuts(Source source) {
        return new RepeatedCuts(source, RemarksBehindOptions::start, SEVERAL);
    }

    private static int start(Line line) {
        String text = line.text().stripTrailing();
        boolean possible = !line.spans().isEmpty()
                && (text.endsWith(")") || text.endsWith("]"))
                && OPTION.matcher(text).matches();
        Matcher remark = REMARK.matcher(text);
        if (!possible || !remark.find()) {
            return 0;
        }
        int at = remark.start(1);
        boolean apart =
                SIGNS.stream().anyMatch(sign -> line.isMostly(sign, at, text.length()) && !line.isMostly(sign, 0, at));
        return apart ? at : 0;
    }

    /** What was cut off there is feedback to its option. */
    public static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            if (!cues.piece().first() && cues.lead().isEmpty() && from == start(cues.line())) {
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.FEEDBACK, from + 1)));
            }
        }
    }
}
