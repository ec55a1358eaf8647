using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

public enum AskedOf
{
    Height,
    Kind,
}

/// <summary>What layout files do not say of one part.</summary>
/// <param name="Guess">A kind by name, or a height in mm; null where nothing points to one.</param>
/// <param name="Why">What the guess rests on.</param>
public sealed record UnknownPart(string Part, AskedOf What, object? Guess, string? Why);

/// <summary>Parts alike in footprint and face that are asked about together.</summary>
/// <param name="Kind">What the files say they are; null where that is asked.</param>
/// <param name="GuessKind">What they look like; null where nothing points to a kind.</param>
/// <param name="GuessHeightMm">What such parts usually stand at; null without a kind.</param>
public sealed record PartQuestion(
    IReadOnlyList<string> Parts,
    Face Face,
    double? WidthMm,
    double? DepthMm,
    string? Package,
    PartKind? Kind,
    PartKind? GuessKind,
    double? GuessHeightMm,
    string? Why,
    bool AsksKind,
    bool AsksHeight
);

/// <summary>What somebody said of parts alike.</summary>
public sealed record PartAnswer(IReadOnlyList<string> Parts, PartKind? Kind, double? HeightMm);

/// <summary>Kinds and heights that layout files leave open, asked about by groups of like footprints.</summary>
public static class LayoutQuestions
{
    private const int Alike = 2,
        StagesAlike = 3;

    /// <summary>Memory stands about its die, mm.</summary>
    private const double NearDieMm = 65;

    private static readonly (double Least, double Most) MemoryMm = (8, 17),
        StageMm = (3, 8);

    /// <summary>The layout with what was answered.</summary>
    /// <exception cref="Core.InputException">An answer names a part that is not there.</exception>
    public static LayoutResult With(LayoutResult layout, IReadOnlyList<PartAnswer> answers)
    {
        var there = layout.Parts.Select(p => p.Id).ToHashSet();
        for (var i = 0; i < answers.Count; i++)
            if (answers[i].Parts.FirstOrDefault(p => !there.Contains(p)) is { } lost)
                throw new Core.InputException($"/answers/{i}/parts", LayoutBoardWords.IsNotAmongParts(lost));
        var said = new Dictionary<string, PartAnswer>();
        foreach (var answer in answers)
        foreach (var id in answer.Parts)
            said[id] = said.TryGetValue(id, out var before)
                ? new([], answer.Kind ?? before.Kind, answer.HeightMm ?? before.HeightMm)
                : answer;
        return layout with
        {
            Parts =
            [
                .. layout.Parts.Select(p =>
                    said.TryGetValue(p.Id, out var a)
                        ? p with
                        {
                            Kind = a.Kind ?? p.Kind,
                            HeightMm = a.HeightMm ?? p.HeightMm,
                        }
                        : p
                ),
            ],
        };
    }

    /// <param name="die">Designator of the main die, which is known to be one; null where nobody said.</param>
    public static IReadOnlyList<PartQuestion> Create(LayoutResult layout, string? die)
    {
        var at = layout.Parts.FirstOrDefault(p => p.Id == die) is { } d ? new Point2(d.X, d.Y) : (Point2?)null;
        return
        [
            .. layout
                .Parts.DistinctBy(p => p.Id)
                .Where(p => p.HeightMm is null || Asks(p, die))
                .GroupBy(p =>
                    (p.Face, p.Package, Size(p.WidthMm), Size(p.DepthMm), p.Kind, Letters(p.Id), Asks(p, die))
                )
                .Select(g => Question([.. g], at, die))
                // the largest footprints decide most
                .OrderByDescending(q => q.AsksKind)
                .ThenByDescending(q => (q.WidthMm ?? 0) * (q.DepthMm ?? 0) * q.Parts.Count),
        ];
    }

    /// <summary>The same part by part.</summary>
    public static IReadOnlyList<UnknownPart> PartByPart(IEnumerable<PartQuestion> questions)
    {
        var list = new List<UnknownPart>();
        foreach (var q in questions)
        foreach (var part in q.Parts)
        {
            if (q.AsksKind)
                list.Add(
                    new(part, AskedOf.Kind, q.GuessKind is { } k ? Json.EnumNames<PartKind>.Name(k) : null, q.Why)
                );
            if (q.AsksHeight)
                list.Add(
                    new(
                        part,
                        AskedOf.Height,
                        q.GuessHeightMm,
                        q.GuessHeightMm is null ? null : LayoutQuestionsWords.SuchPartsUsuallyStand
                    )
                );
        }
        return list;
    }

    private static bool Asks(LayoutPart p, string? die) => p.Kind is null && p.Id != die;

    private static double? Size(double? mm) => mm is { } v ? Math.Round(v, 1) : null;

    private static string Letters(string id) => new([.. id.TakeWhile(char.IsLetter)]);

    private static PartQuestion Question(List<LayoutPart> parts, Point2? die, string? dieId)
    {
        var (first, asks) = (parts[0], Asks(parts[0], dieId));
        var (guess, why) = asks ? Guess(parts, die) : (null, null);
        var kind = first.Id == dieId ? PartKind.Die : first.Kind ?? guess;
        return new(
            [.. parts.Select(p => p.Id)],
            first.Face,
            first.WidthMm,
            first.DepthMm,
            first.Package,
            first.Id == dieId ? PartKind.Die : first.Kind,
            guess,
            parts.Exists(p => p.HeightMm is null) && kind is { } k and not PartKind.Unknown
                ? PartKinds.UsualHeightMm(k)
                : null,
            why,
            asks,
            parts.Exists(p => p.HeightMm is null)
        );
    }

    /// <summary>Memory stands in like packages about its die; power stages are small and many.</summary>
    private static (PartKind? Kind, string? Why) Guess(List<LayoutPart> parts, Point2? die)
    {
        var first = parts[0];
        if (first.WidthMm is not { } w || first.DepthMm is not { } d)
            return (null, null);
        var size = FormattableString.Invariant($"{w:0.0} × {d:0.0} mm");
        var (least, most) = (Math.Min(w, d), Math.Max(w, d));
        bool Within((double Least, double Most) range) => least >= range.Least && most <= range.Most;
        var near = die is { } at && parts.TrueForAll(p => (new Point2(p.X, p.Y) - at).Length <= NearDieMm);
        if (parts.Count >= Alike && Within(MemoryMm) && near)
            return (PartKind.Memory, LayoutQuestionsWords.AlikeOfNearDie(parts.Count, size));
        if (parts.Count >= StagesAlike && Within(StageMm) && Letters(first.Id) is "Q" or "U" or "T")
            return (PartKind.PowerStage, $"{parts.Count} alike of {size}");
        return (null, null);
    }
}
