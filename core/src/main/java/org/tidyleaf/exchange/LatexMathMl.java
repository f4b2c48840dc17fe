package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The LaTeX that readings hold to MathML Core (W3C): fractions, roots, scripts, fences, accents, sums, matrices, Greek
 * letters and operators. An unknown command is shown by its name, so nothing of a formula is lost.
 */
public final class LatexMathMl {

    private static final Pattern TOKEN = Pattern.compile("\\\\[A-Za-z]+|\\\\.|\\d+(?:[.,]\\d+)?|[{}^_&]|\\S");

    /** Deeper nesting is no formula that anybody wrote. */
    private static final int MAX_DEPTH = 40;

    private static final Map<String, String> OPERATORS = Map.ofEntries(
            Map.entry("\\times", "\u00d7"),
            Map.entry("\\div", "\u00f7"),
            Map.entry("\\cdot", "\u22c5"),
            Map.entry("\\pm", "\u00b1"),
            Map.entry("\\leq", "\u2264"),
            Map.entry("\\geq", "\u2265"),
            Map.entry("\\neq", "\u2260"),
            Map.entry("\\approx", "\u2248"),
            Map.entry("\\to", "\u2192"),
            Map.entry("\\sum", "\u2211"),
            Map.entry("\\prod", "\u220f"),
            Map.entry("\\int", "\u222b"),
            Map.entry("\\%", "%"));

    private static final Map<String, String> LETTERS = Map.ofEntries(
            Map.entry("\\alpha", "\u03b1"),
            Map.entry("\\beta", "\u03b2"),
            Map.entry("\\gamma", "\u03b3"),
            Map.entry("\\delta", "\u03b4"),
            Map.entry("\\Delta", "\u0394"),
            Map.entry("\\theta", "\u03b8"),
            Map.entry("\\lambda", "\u03bb"),
            Map.entry("\\mu", "\u03bc"),
            Map.entry("\\pi", "\u03c0"),
            Map.entry("\\rho", "\u03c1"),
            Map.entry("\\sigma", "\u03c3"),
            Map.entry("\\varphi", "\u03c6"),
            Map.entry("\\omega", "\u03c9"),
            Map.entry("\\Omega", "\u03a9"),
            Map.entry("\\infty", "\u221e"));

    private static final Map<String, String> ACCENTS = Map.of(
            "\\bar",
            "\u00af",
            "\\vec",
            "\u2192",
            "\\hat",
            "^",
            "\\dot",
            "\u02d9",
            "\\tilde",
            "~",
            "\\overline",
            "\u00af");

    private final List<String> tokens = new ArrayList<>();
    private int at;
    private int depth;

    private LatexMathMl(String latex) {
        Matcher matcher = TOKEN.matcher(latex);
        while (matcher.find()) {
            tokens.add(matcher.group());
        }
    }

    /** A whole math element; the LaTeX stands beside it for programs that read aloud or copy. */
    public static String convert(String latex) {
        return "<math><semantics><mrow>" + new LatexMathMl(latex).row("")
                + "</mrow><annotation encoding=\"application/x-tex\">" + XmlText.escape(latex)
                + "</annotation></semantics></math>";
    }

    private boolean more() {
        return at < tokens.size();
    }

    private String row(String end) {
        StringBuilder row = new StringBuilder();
        while (more() && !tokens.get(at).equals(end)) {
            row.append(scripted());
        }
        at++;
        return row.toString();
    }

    private String scripted() {
        String base = one();
        String sub = "";
        String sup = "";
        while (more() && (tokens.get(at).equals("_") || tokens.get(at).equals("^"))) {
            boolean below = tokens.get(at++).equals("_");
            String script = "<mrow>" + one() + "</mrow>";
            sub = below ? script : sub;
            sup = below ? sup : script;
        }
        if (sub.isEmpty() && sup.isEmpty()) {
            return base;
        }
        String name = sub.isEmpty() ? "msup" : sup.isEmpty() ? "msub" : "msubsup";
        return "<" + name + ">" + (base.isEmpty() ? "<mrow></mrow>" : base) + sub + sup + "</" + name + ">";
    }

    private String one() {
        if (!more() || depth > MAX_DEPTH) {
            at++;
            return "";
        }
        depth++;
        String result = one(tokens.get(at++));
        depth--;
        return result;
    }

    private String one(String token) {
        if (token.equals("{")) {
            return "<mrow>" + row("}") + "</mrow>";
        }
        if (token.equals("\\frac")) {
            return "<mfrac>" + one() + one() + "</mfrac>";
        }
        if (token.equals("\\sqrt")) {
            return root();
        }
        if (token.equals("\\left") || token.equals("\\right")) {
            String fence = more() ? tokens.get(at++) : ".";
            return fence.equals(".") ? "" : "<mo>" + XmlText.escape(fence.replace("\\", "")) + "</mo>";
        }
        if (ACCENTS.containsKey(token)) {
            return "<mover accent=\"true\">" + one() + "<mo>" + ACCENTS.get(token) + "</mo></mover>";
        }
        if (token.equals("\\begin")) {
            return matrix();
        }
        return leaf(token);
    }

    private String root() {
        if (more() && tokens.get(at).equals("[")) {
            at++;
            String degree = row("]");
            return "<mroot>" + one() + "<mrow>" + degree + "</mrow></mroot>";
        }
        return "<msqrt>" + one() + "</msqrt>";
    }

    private String matrix() {
        row("}");
        StringBuilder table = new StringBuilder("<mtable><mtr><mtd>");
        while (more() && !tokens.get(at).equals("\\end")) {
            if (tokens.get(at).equals("&")) {
                at++;
                table.append("</mtd><mtd>");
            } else if (tokens.get(at).equals("\\\\")) {
                at++;
                table.append("</mtd></mtr><mtr><mtd>");
            } else {
                table.append(scripted());
            }
        }
        at++;
        row("}");
        return table.append("</mtd></mtr></mtable>").toString();
    }

    private static String leaf(String token) {
        if (OPERATORS.containsKey(token)) {
            return "<mo>" + OPERATORS.get(token) + "</mo>";
        }
        if (LETTERS.containsKey(token)) {
            return "<mi>" + LETTERS.get(token) + "</mi>";
        }
        String shown = XmlText.escape(token.replace("\\", ""));
        if (Character.isDigit(token.charAt(0))) {
            return "<mn>" + shown + "</mn>";
        }
        boolean letter = Character.isLetter(token.charAt(0)) || token.length() > 2 && token.startsWith("\\");
        return letter ? "<mi>" + shown + "</mi>" : "<mo>" + shown + "</mo>";
    }
}
