package org.tidyleaf.intake.pdf;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.intake.common.MathSigns;
import org.tidyleaf.intake.pdf.PdfPage.Glyph;
import org.tidyleaf.source.Emphasis;

/** Signs of a formula that stand on one line, with their scripts, as LaTeX. */
final class PdfFormulaRun {

    /** Smaller than this share of its neighbours, a sign is a script. */
    private static final float SMALL = 0.85f;

    /** In parts of the size: a wider gap ends a formula. */
    private static final float WIDEST_GAP = 0.4f;

    private static final Pattern OPERATOR =
            Pattern.compile("[-+=<>\u2212\u2264\u2265\u2260\u2248\u00b1\u00d7\u00f7\u00b7\u22c5/|*\u2192]");

    private static final Pattern SIGN =
            Pattern.compile("[\\d()\\[\\]{}!%\u221e\u2211\u220f\u222b\u221a\u2202\u2208]|[\u0370-\u03ff]");

    private static final Pattern LABEL = Pattern.compile("[(\\[]?[A-Za-z0-9]{1,3}[.)\\]]");

    private PdfFormulaRun() {}

    /** Letters that Unicode keeps for formulas (Mathematical Alphanumeric Symbols). */
    static boolean isMathLetter(String text) {
        int point = text.codePointAt(0);
        return point >= 0x1D400 && point <= 0x1D7FF || point == 0x210E;
    }

    /** The largest sign, on whose line the others stand. */
    static Glyph base(List<Glyph> glyphs) {
        return glyphs.stream()
                .max(Comparator.comparingDouble(Glyph::size)
                        .thenComparing(Comparator.comparingDouble(Glyph::x).reversed()))
                .orElseThrow();
    }

    /** The signs from left to right, raised and lowered ones as scripts. */
    static String latex(List<Glyph> glyphs) {
        List<Glyph> ordered = new ArrayList<>(glyphs);
        ordered.sort(Comparator.comparingDouble(Glyph::x));
        Glyph base = base(ordered);
        StringBuilder latex = new StringBuilder();
        StringBuilder lowered = new StringBuilder();
        StringBuilder raised = new StringBuilder();
        Glyph before = null;
        for (Glyph glyph : ordered) {
            char script = script(glyph, base, before);
            if (script != ' ') {
                (script == '^' ? raised : lowered).append(sign(glyph.text()));
            } else {
                writeScripts(latex, lowered, raised);
                latex.append(isParted(before, glyph, base) ? " " : "").append(sign(glyph.text()));
            }
            before = glyph;
        }
        writeScripts(latex, lowered, raised);
        return latex.toString().strip();
    }

    private static void writeScripts(StringBuilder latex, StringBuilder lowered, StringBuilder raised) {
        latex.append(lowered.isEmpty() ? "" : "_{" + lowered.toString().strip() + "}");
        latex.append(raised.isEmpty() ? "" : "^{" + raised.toString().strip() + "}");
        lowered.setLength(0);
        raised.setLength(0);
    }

    private static boolean isParted(@Nullable Glyph before, Glyph glyph, Glyph base) {
        return before != null
                && glyph.x() - before.right() > 0.2f * base.size()
                && Character.isLetter(glyph.text().codePointAt(0))
                && Character.isLetterOrDigit(before.text().codePointAt(0));
    }

    private static char script(Glyph glyph, Glyph base, @Nullable Glyph before) {
        if (glyph.size() >= SMALL * base.size() || glyph.text().startsWith("\\")) {
            return ' ';
        }
        if (glyph.y() < base.y() - 0.12f * base.size()) {
            return '^';
        }
        // Some fonts lower an index by nothing; a small sign right behind a letter is one all the same.
        boolean behindLetter = before != null && before.text().codePoints().allMatch(Character::isLetter);
        return glyph.y() > base.y() + 0.05f * base.size() || behindLetter ? '_' : ' ';
    }

    private static String sign(String text) {
        return text.startsWith("\\") ? text : MathSigns.latex(Normalizer.normalize(text, Normalizer.Form.NFKC));
    }

    /** All glyphs of the page, those of each formula joined into one, letters of formulas outside of them as plain ones. */
    static List<Glyph> merge(List<Glyph> glyphs, Set<Glyph> built) {
        Set<Glyph> taken = new HashSet<>();
        List<Glyph> merged = new ArrayList<>();
        for (Glyph glyph : glyphs) {
            if (!taken.contains(glyph) && isSeed(glyph, glyphs, built)) {
                List<Glyph> run = new Run(glyphs, built).around(glyph);
                run.removeIf(taken::contains);
                taken.addAll(run);
                merged.add(joined(run));
            }
        }
        for (Glyph glyph : glyphs) {
            if (!taken.contains(glyph)) {
                merged.add(
                        isMathLetter(glyph.text())
                                ? withText(glyph, Normalizer.normalize(glyph.text(), Normalizer.Form.NFKC))
                                : glyph);
            }
        }
        return merged;
    }

    /** A fraction, root or sum, or a letter of formulas with a script right behind it. */
    private static boolean isSeed(Glyph glyph, List<Glyph> glyphs, Set<Glyph> built) {
        return built.contains(glyph)
                || isMathLetter(glyph.text())
                        && glyphs.stream()
                                .anyMatch(other -> other.size() < SMALL * glyph.size()
                                        && Math.abs(other.x() - glyph.right()) < 0.2f * glyph.size()
                                        && Math.abs(other.y() - glyph.y()) < 0.7f * glyph.size()
                                        && Math.abs(other.y() - glyph.y()) > 0.05f * glyph.size());
    }

    private static Glyph joined(List<Glyph> run) {
        Glyph base = base(run);
        float left = (float) run.stream().mapToDouble(Glyph::x).min().orElseThrow();
        float right = (float) run.stream().mapToDouble(Glyph::right).max().orElseThrow();
        return new Glyph(
                left,
                base.y(),
                right - left,
                base.size(),
                run.get(0).spaces(),
                "\\(" + latex(run) + "\\)",
                base.look());
    }

    private static Glyph withText(Glyph glyph, String text) {
        return new Glyph(glyph.x(), glyph.y(), glyph.width(), glyph.size(), glyph.spaces(), text, glyph.look());
    }

    /** What belongs to a formula to the left and right of its first known sign. */
    private static final class Run {
        private final List<Glyph> glyphs;
        private final Set<Glyph> built;

        Run(List<Glyph> glyphs, Set<Glyph> built) {
            this.glyphs = glyphs;
            this.built = built;
        }

        List<Glyph> around(Glyph seed) {
            List<Glyph> row = new ArrayList<>(glyphs.stream()
                    .filter(glyph -> !glyph.text().isBlank() && Math.abs(glyph.y() - seed.y()) < 0.6f * seed.size())
                    .sorted(Comparator.comparingDouble(Glyph::x))
                    .toList());
            int at = row.indexOf(seed);
            int from = at;
            while (from > 0 && isNear(row.get(from - 1), row.get(from)) && belongsLeft(row, from - 1, seed)) {
                from--;
            }
            int to = at;
            while (to + 1 < row.size() && isNear(row.get(to), row.get(to + 1)) && belongsRight(row, to + 1, seed)) {
                to++;
            }
            from = Math.max(from, behindLabel(row, at));
            while (to > at && OPERATOR.matcher(row.get(to).text()).matches()) {
                to--;
            }
            while (from < at
                    && OPERATOR.matcher(row.get(from).text()).matches()
                    && !row.get(from).text().matches("[-\u2212]")) {
                from++;
            }
            return new ArrayList<>(row.subList(from, to + 1));
        }

        private static boolean isNear(Glyph left, Glyph right) {
            return right.x() - left.right() < WIDEST_GAP * Math.max(left.size(), right.size());
        }

        private boolean isMath(Glyph glyph, Glyph seed) {
            String text = glyph.text();
            boolean script = glyph.size() < SMALL * seed.size() && text.matches("[\\p{L}\\d+\u2212=,-]");
            return built.contains(glyph)
                    || isMathLetter(text)
                    || script
                    || OPERATOR.matcher(text).matches()
                    || SIGN.matcher(text).matches();
        }

        private boolean belongsLeft(List<Glyph> row, int at, Glyph seed) {
            return isMath(row.get(at), seed) || isVariable(row, at) && isItalic(row, at, at + 1);
        }

        private boolean belongsRight(List<Glyph> row, int at, Glyph seed) {
            return isMath(row.get(at), seed) || isVariable(row, at) && isItalic(row, at, at - 1);
        }

        /** An upright letter counts as a variable only next to an operator: it may be a unit or a word. */
        private boolean isItalic(List<Glyph> row, int at, int inside) {
            return row.get(at).look().contains(Emphasis.ITALIC)
                    || OPERATOR.matcher(row.get(inside).text()).matches();
        }

        /** One letter by itself. */
        private static boolean isVariable(List<Glyph> row, int at) {
            return isLetter(row, at)
                    && (at == 0 || !isLetter(row, at - 1) || !touches(row.get(at - 1), row.get(at)))
                    && (at + 1 == row.size() || !isLetter(row, at + 1) || !touches(row.get(at), row.get(at + 1)));
        }

        private static boolean touches(Glyph left, Glyph right) {
            return right.x() - left.right() < 0.15f * right.size();
        }

        private static boolean isLetter(List<Glyph> row, int at) {
            return row.get(at).text().matches("\\p{L}");
        }

        /** A number or letter at the beginning of the line is the question's or the option's. */
        private static int behindLabel(List<Glyph> row, int at) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < Math.min(5, at); i++) {
                text.append(row.get(i).text());
                if (LABEL.matcher(text).matches()) {
                    return i + 1;
                }
            }
            return 0;
        }
    }
}
