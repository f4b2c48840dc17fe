package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "13–15 queen, worker, drone   16–17 honey, wax": answers to questions whose number is a range, as those that ask for several things. */
final class RangedAnswers {

    private static final Pattern RANGE =
            Pattern.compile("(?:^|(?<=\\s{2}|[;\\t]\\s{0,2}))(\\d{1,3}\\s?[-\u2013]\\s?\\d{1,3})[.:)]?\\s+(?=\\S)");

    private static final Pattern DASH = Pattern.compile("\\s?[-\u2013]\\s?");

    private RangedAnswers() {}

    /** The answers of a line that begins with such a number and has no other; empty where it does not. */
    static List<NumberedAnswers.Answer> cut(String text, List<Cues> all) {
        Set<String> asked = all.stream()
                .flatMap(cues -> cues.number().stream())
                .map(Label::printed)
                .filter(printed -> DASH.matcher(printed).find())
                .collect(Collectors.toSet());
        List<NumberedAnswers.Answer> answers = new ArrayList<>();
        Matcher matcher = RANGE.matcher(text);
        String number = "";
        int from = 0;
        while (!asked.isEmpty() && matcher.find()) {
            String printed = printed(matcher.group(1), asked);
            if (printed.isEmpty() || number.isEmpty() && matcher.start() > 0) {
                return List.of();
            }
            if (!number.isEmpty()) {
                answers.add(new NumberedAnswers.Answer(
                        number, text.substring(from, matcher.start()).strip()));
            }
            number = printed;
            from = matcher.end();
        }
        if (!number.isEmpty()) {
            answers.add(new NumberedAnswers.Answer(number, text.substring(from).strip()));
        }
        return answers;
    }

    private static String printed(String range, Set<String> asked) {
        String plain = DASH.matcher(range).replaceFirst("-");
        return asked.stream()
                .filter(printed -> DASH.matcher(printed).replaceFirst("-").equals(plain))
                .findFirst()
                .orElse("");
    }
}
