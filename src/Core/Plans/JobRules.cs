using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Plans;

namespace FaithfulBracket.Core.Plans;

/// <summary>What a job may be opened or changed to: the rules that planning relies on.</summary>
public static class JobRules
{
    public const int MaxTitle = 120,
        MaxBench = 20,
        MaxClient = 200,
        MaxPadChoices = 1000;

    private const double ThinnestMm = 0.05,
        ThickestMm = 20;

    /// <summary>Every broken rule of the words, by field.</summary>
    public static IEnumerable<InputFault> Words(string? title, string? client, string? bench)
    {
        if (title is null || title.Trim().Length < 1 || title.Length > MaxTitle)
            yield return new("title", JobRulesWords.ExpectedToCharactersFound(MaxTitle, title?.Length ?? 0));
        if (bench is null || bench.Trim().Length < 1 || bench.Length > MaxBench)
            yield return new("bench", JobRulesWords.ExpectedToCharactersFound(MaxBench, bench?.Length ?? 0));
        if (client is { Length: > MaxClient })
            yield return new("client", JobRulesWords.ExpectedAtMostCharactersFound(MaxClient, client.Length));
    }

    /// <summary>Chosen pads: each for a part that is there, once, of a material and thickness that can be.</summary>
    public static IEnumerable<InputFault> PadChoices(WorkOrder order, IReadOnlyList<LaidPad?> choices, Drawer drawer)
    {
        if (choices.Count > MaxPadChoices)
        {
            yield return new("padChoices", JobRulesWords.ExpectedAtMostFound(MaxPadChoices, choices.Count));
            yield break;
        }
        var materials = drawer.MaterialById();
        var seen = new HashSet<(string Board, string Part)>();
        for (var i = 0; i < choices.Count; i++)
        {
            if (choices[i] is not { Part: not null } c)
            {
                yield return new($"padChoices/{i}", JobRulesWords.ExpectedPadForPartFoundNone);
                continue;
            }
            var key = c.Board ?? order.First.Key;
            if (order.Find(key) is not { } piece)
                yield return new($"padChoices/{i}/board", JobRulesWords.OrderHasNoBoard(key));
            else if (piece.Board.FindPart(c.Part) is null)
                yield return new($"padChoices/{i}/part", JobRulesWords.BoardHasNoPart(c.Part));
            else if (!seen.Add((key, c.Part)))
                yield return new($"padChoices/{i}/part", JobRulesWords.StandsTwiceOnePadPart(c.Part));
            if (!(c.ThicknessMm is >= ThinnestMm and <= ThickestMm))
                yield return new(
                    $"padChoices/{i}/thicknessMm",
                    FormattableString.Invariant($"Expected {ThinnestMm} to {ThickestMm} mm.")
                );
            if (c.Material is null || !materials.TryGetValue(c.Material, out var material))
                yield return new($"padChoices/{i}/material", JobRulesWords.PadMaterialIsNotInDrawer(c.Material));
            else if (c.ThicknessMm <= material.ThicknessTolMm)
                yield return new(
                    $"padChoices/{i}/thicknessMm",
                    JobRulesWords.PadVariesBy(c.Material, material.ThicknessTolMm, c.ThicknessMm)
                );
        }
    }
}
