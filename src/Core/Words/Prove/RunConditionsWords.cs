namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of run conditions.</summary>
internal static class RunConditionsWords
{
    public static Message VoltageDiffersBeforeAfter(double bv, double av) =>
        $"The voltage differs: {bv:0.00} V before, {av:0.00} V after. Measure again at the same.";

    public static Message LoadDiffersBeforeAfter(string? before, string? after) =>
        $"The load differs: {before} before, {after} after. Measure again under the same.";

    public static Message WhatRanBesideItDiffers(string? before, string? after) =>
        $"What ran beside it differs: {before} before, {after} after. Measure again without.";

    public static Message DiffersBeforeAfter(string name, double? before, string unit, double? after) =>
        $"The {name} differs: {before:0} {unit} before, {after:0} {unit} after. Measure again at the same.";
}
