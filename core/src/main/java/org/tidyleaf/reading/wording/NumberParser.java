package org.tidyleaf.reading.wording;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.NumericEntry;

/** Reads a numeric key: "3.2 mm (± 0.1)", "18 °C, tolerance 0.5", "2040 m (accept 1940 to 2140)", "between 3 and 5 m". */
public final class NumberParser {

    private static final String NUMBER =
            "([-\u2212\u2013+]?\\d{1,3}(?:[ \u00a0\u202f]\\d{3})+(?:[.,]\\d+)?|[1-9]\\d{0,2}(?:,\\d{3})+(?:[.]\\d+)?|[-\u2212\u2013+]?\\d+(?:[.,]\\d+)?)";
    private static final Pattern KEY = Pattern.compile("\\s*" + NUMBER
            + "\\s*([^\\d\\s,;(\u00b1+|][^\\d,;(\u00b1|]{0,24}?(?:(?<=\\p{L})[23])?)?\\s*"
            + "(?:[,;(]?\\s*(?:\u00b1|\\+/-|\\+-|tolerance:?|toleranz:?|tol\\.?)\\s*" + NUMBER + "([^\\d]{0,10})\\)?"
            + "|\\([^\\d)]{0,20}" + NUMBER + "\\s*\\D{1,8}\\s*" + NUMBER + "[^\\d)]{0,8}\\))?\\s*\\.?\\s*");

    /** "between 85 cm and 95 cm", "from 3 to 5 litres". */
    private static final Pattern BETWEEN = Vocabulary.pattern("\\s*" + Vocabulary.ALL.either("between") + "\\s+"
            + NUMBER
            + "\\s*([^\\d\\s]\\S{0,9})?\\s+(?:" + Vocabulary.ALL.either("and", "to") + "|[-\u2013])\\s+" + NUMBER
            + "\\s*([^\\d\\s]\\S{0,9}?)?\\s*\\.?\\s*");

    /** "1.0 kg (accept 1)": the same number once more. */
    private static final Pattern ACCEPTED_AGAIN = Vocabulary.pattern("(\\s*" + NUMBER + "[^\\d(]{0,12})\\(\\s*"
            + Vocabulary.ALL.either("accepted") + "\\b\\s*:?\\s*" + NUMBER + "[^\\d)]{0,12}\\)\\s*\\.?\\s*");

    private static final Pattern BRACKETED =
            Pattern.compile("(?<=\\d)\\s*\\((\\p{L}[\\p{L}\u00b2\u00b3/]{0,9})\\)\\s*$");

    /** "(9.0 ± 0.1) cm". */
    private static final Pattern BRACKETS_BEFORE_UNIT =
            Pattern.compile("^\\s*\\(([^()]{3,30}\u00b1[^()]{1,12})\\)\\s*(\\S{1,10})\\s*$");

    /** "31.5 − 17 = 14.5 kg": how the number comes about stands before it. */
    private static final Pattern WORKED = Pattern.compile(
            "[^=]*\\d[^=]*[+\u2212\u2013\u00d7\u00f7*/:\u22c5-]\\s*[^=]*\\d[^=]*=\\s*(?:[^=]*\\d[^=]*=\\s*)?([^=]+)");

    /** A longer text tells more than a sum, and may be made to keep the pattern busy. */
    private static final int LONGEST_WORKED = 80;

    private NumberParser() {}

    public static Optional<NumericEntry.Key> key(String said) {
        String text = BRACKETS_BEFORE_UNIT
                .matcher(said.replaceFirst("\\s*;\\s*$", ""))
                .replaceFirst("$1 $2");
        Matcher again = ACCEPTED_AGAIN.matcher(text);
        if (again.matches() && number(again.group(2)).compareTo(number(again.group(3))) == 0) {
            return key(again.group(1));
        }
        Matcher worked = WORKED.matcher(text.length() < LONGEST_WORKED && text.indexOf('=') > 0 ? text : "");
        if (worked.matches()) {
            return key(worked.group(1));
        }
        Matcher between = BETWEEN.matcher(text);
        if (between.matches()) {
            BigDecimal low = number(between.group(1));
            BigDecimal half = number(between.group(3)).subtract(low).divide(BigDecimal.valueOf(2));
            String unit = Optional.ofNullable(between.group(4))
                    .or(() -> Optional.ofNullable(between.group(2)))
                    .orElse("");
            return Optional.of(new NumericEntry.Key(low.add(half), Optional.of(half.abs()), unit));
        }
        // "2.7 (kg)": the unit may stand in brackets; "5 (five)" says the same twice.
        Matcher matcher = KEY.matcher(BRACKETED
                .matcher(text)
                .replaceFirst(behind ->
                        Vocabulary.ALL.number(behind.group(1)).map(word -> "").orElse(" $1")));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        BigDecimal value = number(matcher.group(1));
        String unit = matcher.group(2) == null ? "" : matcher.group(2).strip();
        // "12 / twelve" says the same twice, "12 / a dozen" are two spellings.
        if (unit.startsWith("/ ")) {
            return Vocabulary.ALL
                    .number(unit.substring(2).strip())
                    .filter(word -> word.compareTo(value) == 0)
                    .map(word -> new NumericEntry.Key(value, Optional.empty(), ""));
        }
        if (unit.split("\\s+").length > 3 || Months.isOne(unit)) {
            return Optional.empty();
        }
        Optional<BigDecimal> tolerance = Optional.ofNullable(matcher.group(3)).map(NumberParser::number);
        if (tolerance.isPresent() && matcher.group(4).contains("%") && !unit.equals("%")) {
            // A share of the value; where the unit is percent itself, the tolerance is in that unit.
            tolerance = tolerance.map(share -> value.multiply(share).movePointLeft(2));
        }
        if (tolerance.isEmpty() && matcher.group(5) != null) {
            BigDecimal low = number(matcher.group(5));
            BigDecimal high = number(matcher.group(6));
            if (value.compareTo(low) < 0 || value.compareTo(high) > 0) {
                // "36 % (10 of 28)" says how it comes about.
                return key(text.replaceFirst("\\s*\\([^()]*\\)\\s*\\.?\\s*$", ""));
            }
            // A range of accepted values becomes the tolerance that holds all of it.
            tolerance = Optional.of(
                    value.subtract(low).abs().max(high.subtract(value).abs()));
        }
        String behind = tolerance.isPresent() && matcher.group(4) != null
                ? matcher.group(4).replaceAll("[().,%]", "").strip()
                : "";
        return Optional.of(new NumericEntry.Key(value, tolerance.map(BigDecimal::abs), unit.isEmpty() ? behind : unit));
    }

    /** "20,000": three digits behind each comma are thousands; nobody gives that many places by chance. */
    private static String withoutThousands(String text) {
        return text.matches("\\D?[1-9]\\d{0,2}(?:,\\d{3})+(?:[.]\\d+)?") ? text.replace(",", "") : text;
    }

    private static BigDecimal number(String text) {
        String plain = withoutThousands(text)
                .replaceAll("[ \u00a0\u202f+]", "")
                .replaceAll("[\u2212\u2013]", "-")
                .replace(',', '.');
        return new BigDecimal(plain);
    }
}
