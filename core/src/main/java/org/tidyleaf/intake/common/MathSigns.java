package org.tidyleaf.intake.common;

import java.util.Map;

/** Signs of mathematics and the LaTeX for them, whatever markup they come from. */
public final class MathSigns {

    private static final Map<String, String> SIGNS = Map.ofEntries(
            Map.entry("\u00d7", "\\times "),
            Map.entry("\u00f7", "\\div "),
            Map.entry("\u00b7", "\\cdot "),
            Map.entry("\u22c5", "\\cdot "),
            Map.entry("\u2212", "-"),
            Map.entry("\u00b1", "\\pm "),
            Map.entry("\u2264", "\\leq "),
            Map.entry("\u2265", "\\geq "),
            Map.entry("\u2260", "\\neq "),
            Map.entry("\u2248", "\\approx "),
            Map.entry("\u221e", "\\infty "),
            Map.entry("\u2192", "\\to "),
            Map.entry("\u2211", "\\sum"),
            Map.entry("\u220f", "\\prod"),
            Map.entry("\u222b", "\\int"),
            Map.entry("\u03b1", "\\alpha "),
            Map.entry("\u03b2", "\\beta "),
            Map.entry("\u03b3", "\\gamma "),
            Map.entry("\u03b4", "\\delta "),
            Map.entry("\u0394", "\\Delta "),
            Map.entry("\u03b8", "\\theta "),
            Map.entry("\u03bb", "\\lambda "),
            Map.entry("\u03bc", "\\mu "),
            Map.entry("\u03c0", "\\pi "),
            Map.entry("\u03c1", "\\rho "),
            Map.entry("\u03c3", "\\sigma "),
            Map.entry("\u03c6", "\\varphi "),
            Map.entry("\u03c9", "\\omega "),
            Map.entry("\u03a9", "\\Omega "),
            Map.entry("%", "\\%"));

    private MathSigns() {}

    public static String latex(String sign) {
        return SIGNS.getOrDefault(sign, sign);
    }

    /** The command for what stands above a letter. */
    static String accent(String sign) {
        return switch (sign) {
            case "\u0305", "\u00af", "\u203e" -> "\\bar";
            case "\u20d7", "\u2192" -> "\\vec";
            case "\u0307", "\u02d9" -> "\\dot";
            case "\u0303", "~" -> "\\tilde";
            default -> "\\hat";
        };
    }

    static String fence(String sign) {
        return switch (sign) {
            case "" -> ".";
            case "{", "}" -> "\\" + sign;
            default -> sign;
        };
    }

    static boolean isFunction(String name) {
        return name.matches("sin|cos|tan|log|ln|exp|lim|max|min");
    }
}
