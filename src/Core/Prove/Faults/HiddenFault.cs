namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>One thing wrong with a bench, drawn for somebody to find.</summary>
/// <param name="Part">Where it sits; null where it concerns the whole.</param>
/// <param name="Corner">0 to 3, which corner stands high; only of a tilt.</param>
public sealed record HiddenFault(FaultKind Kind, string? Part, int Corner, double Size)
{
    public static readonly HiddenFault None = new(FaultKind.None, null, 0, 0);

    /// <summary>Drawn by the working priors; always the same for a seed.</summary>
    /// <param name="certain">Whether something has to be wrong; a misread sensor is no fault of the bench and is never drawn.</param>
    /// <param name="met">How often each is met; null takes the working defaults.</param>
    public static HiddenFault Draw(FaultBench bench, int seed, bool certain, IReadOnlyList<FaultPrior>? met = null)
    {
        var random = new Random(seed);
        List<FaultPrior> priors =
        [
            .. (met ?? FaultPriors.Default).Where(p =>
                p.Kind != FaultKind.Misread && !(certain && p.Kind == FaultKind.None) && Places(bench, p.Kind).Count > 0
            ),
        ];
        var at = random.NextDouble() * priors.Sum(p => p.Prior);
        var prior = priors[^1];
        foreach (var p in priors)
        {
            at -= p.Prior;
            if (at > 0)
                continue;
            prior = p;
            break;
        }
        var places = Places(bench, prior.Kind);
        var place = places[random.Next(places.Count)];
        var size = prior.Least + random.NextDouble() * (prior.Most - prior.Least);
        return new(prior.Kind, place, random.Next(4), size);
    }

    /// <summary>One, or two of different kinds at once; always the same for a seed.</summary>
    public static IReadOnlyList<HiddenFault> Several(
        FaultBench bench,
        int seed,
        bool two,
        IReadOnlyList<FaultPrior>? met = null
    )
    {
        var first = Draw(bench, seed, certain: true, met);
        return two
            ?
            [
                first,
                Draw(
                    bench,
                    unchecked(seed * 31 + 7) & int.MaxValue,
                    certain: true,
                    [.. (met ?? FaultPriors.Default).Where(p => p.Kind != first.Kind)]
                ),
            ]
            : [first];
    }

    /// <summary>Where it can sit: parts that give heat; one empty place for what concerns the whole.</summary>
    private static List<string?> Places(FaultBench bench, FaultKind kind) =>
        kind switch
        {
            FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin =>
            [
                .. bench.Parts.Where(p => !p.IsDie && p.Watts > 0).Select(p => p.Id),
            ],
            FaultKind.PasteVoid or FaultKind.PumpOut =>
            [
                .. bench.Parts.Where(p => p.IsDie && p.Watts > 0).Select(p => p.Id),
            ],
            _ => [null],
        };

    public double C(FaultBench bench, FaultPart part) => bench.With(part, Kind, Part, Corner, Size).C;

    /// <summary>What is wrong, in words, with its place.</summary>
    public string Words =>
        Kind == FaultKind.None ? "nothing wrong" : $"{FaultChecks.Name(Kind)}{(Part is null ? "" : $", {Part}")}";
}
