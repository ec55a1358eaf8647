using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Plans;

/// <summary>What a job may be opened or changed to: the rules that planning relies on.</summary>
public static class JobRules
{
    public const int MostTitle = 120,
        MostBench = 20,
        MostClient = 200,
        MostPadChoices = 1000;

    private const double ThinnestMm = 0.05,
        ThickestMm = 20;

    /// <summary>Every broken rule of the words, by field.</summary>
    public static IEnumerable<InputFault> Words(string? title, string? client, string? bench)
    {
        if (title is null || title.Trim().Length < 1 || title.Length > MostTitle)
            yield return new("title", $"Expected 1 to {MostTitle} characters, found {title?.Length ?? 0}.");
        if (bench is null || bench.Trim().Length < 1 || bench.Length > MostBench)
            yield return new("bench", $"Expected 1 to {MostBench} characters, found {bench?.Length ?? 0}.");
        if (client is { Length: > MostClient })
            yield return new("client", $"Expected at most {MostClient} characters, found {client.Length}.");
    }

    /// <summary>Chosen pads: each for a part that is there, once, of a material and thickness that can be.</summary>
    public static IEnumerable<InputFault> PadChoices(WorkOrder order, IReadOnlyList<LaidPad?> choices, Drawer drawer)
    {
        if (choices.Count > MostPadChoices)
        {
            yield return new("padChoices", $"Expected at most {MostPadChoices}, found {choices.Count}.");
            yield break;
        }
        var materials = drawer.MaterialById();
        var seen = new HashSet<(string Board, string Part)>();
        for (var i = 0; i < choices.Count; i++)
        {
            if (choices[i] is not { Part: not null } c)
            {
                yield return new($"padChoices/{i}", "Expected a pad for a part, found none.");
                continue;
            }
            var key = c.Board ?? order.First.Key;
            if (order.Find(key) is not { } piece)
                yield return new($"padChoices/{i}/board", $"The order has no board \"{key}\".");
            else if (piece.Board.FindPart(c.Part) is null)
                yield return new($"padChoices/{i}/part", $"The board has no part \"{c.Part}\".");
            else if (!seen.Add((key, c.Part)))
                yield return new($"padChoices/{i}/part", $"\"{c.Part}\" stands twice: one pad a part.");
            if (!(c.ThicknessMm is >= ThinnestMm and <= ThickestMm))
                yield return new(
                    $"padChoices/{i}/thicknessMm",
                    FormattableString.Invariant($"Expected {ThinnestMm} to {ThickestMm} mm.")
                );
            if (c.Material is null || !materials.TryGetValue(c.Material, out var material))
                yield return new($"padChoices/{i}/material", $"Pad material \"{c.Material}\" is not in the drawer.");
            else if (c.ThicknessMm <= material.ThicknessTolMm)
                yield return new(
                    $"padChoices/{i}/thicknessMm",
                    FormattableString.Invariant(
                        $"A {c.Material} pad varies by ±{material.ThicknessTolMm:0.0#} mm: one of {c.ThicknessMm:0.0##} mm may not be there at all."
                    )
                );
        }
    }
}
