using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>One look of somebody who searches: is it this, here?</summary>
/// <param name="Part">Null for what concerns the whole.</param>
public sealed record TrainingCheck(FaultKind Kind, string? Part);

/// <summary>A look and what it showed.</summary>
public sealed record TrainingAnswer(TrainingCheck Check, bool Found, Message Text);

/// <summary>A reading of the bench that is searched.</summary>
public sealed record TrainingReading(string Name, IReadOnlyList<string> Parts, double C, double ExpectedC);

/// <summary>What can be looked for, and where.</summary>
public sealed record TrainingChoice(FaultKind Kind, string Name, IReadOnlyList<string> Parts);

/// <param name="Solved">Whether a look found it.</param>
/// <param name="Truth">In words, once it is found or given up; null before.</param>
/// <param name="BestLooks">Looks that the finder's own order takes.</param>
public sealed record TrainingBench(
    int Seed,
    IReadOnlyList<TrainingReading> Readings,
    IReadOnlyList<TrainingChoice> Choices,
    IReadOnlyList<TrainingAnswer> Answers,
    bool Solved,
    string? Truth,
    int BestLooks,
    Message Text
);

/// <summary>
/// A bench with a hidden fault, or two, to find in as few looks as possible. The measure is the finder's own order: it looks
/// at what is likeliest by the
/// readings, strikes it out where it is wrong, and goes on.
/// </summary>
public static class FaultTrainer
{
    public const int MaxChecks = 60;

    private const double SigmaK = 0.5;

    /// <param name="kinds">Of each part.</param>
    /// <param name="giveUp">Tells the truth without a look.</param>
    /// <param name="met">How often each fault is met; null takes the working defaults.</param>
    /// <param name="two">Whether two things are wrong at once.</param>
    public static TrainingBench Create(
        FaultBench bench,
        IReadOnlyDictionary<string, PartKind> kinds,
        int seed,
        IReadOnlyList<TrainingCheck> checks,
        bool giveUp,
        IReadOnlyList<FaultPrior>? met = null,
        bool two = false
    )
    {
        var faults = HiddenFault.Several(bench, seed, two, met);
        var run = new BenchRun(bench, faults, bench.Conditions);
        var random = new Random(seed ^ 0x5eed);
        List<FaultPart> read = [.. bench.Parts.Where(p => p.Watts > 0)];
        var readings = read.ConvertAll(p => new TrainingReading(
            p.Id,
            [p.Id],
            Math.Round(run.C(p) + SigmaK * Gauss(random), 1),
            Math.Round(run.ExpectedC(p), 1)
        ));
        var choices = Choices(read);
        for (var i = 0; i < checks.Count; i++)
            if (
                choices.FirstOrDefault(c => c.Kind == checks[i].Kind) is not { } choice
                || !(checks[i].Part is { } part ? choice.Parts.Contains(part) : choice.Parts.Count == 0)
            )
                throw new InputException($"checks/{i}", FaultTrainerWords.ThisCanNotBeLooked);
        List<TrainingAnswer> answers = [.. checks.Select(c => Answer(faults, c))];
        var solved = faults.All(f => checks.Any(c => Same(f, c)));
        var best = Best(bench.With(run.Share), faults, readings, met);
        var words = string.Join(" and ", faults.Select(f => f.Words));
        return new(
            seed,
            readings,
            choices,
            answers,
            solved,
            solved || giveUp ? words : null,
            best,
            solved
                    ? FaultTrainerWords.FoundInLikeliestFirstTakes(
                        Looks(answers.FindLastIndex(a => a.Found) + 1),
                        Looks(best)
                    )
                : giveUp ? FaultTrainerWords.ItWasLikeliestFirstTakes(words, Looks(best))
                : FaultTrainerWords.WrongWithThisBench(two ? "Two things are" : "Something is")
                    + (run.Words is { } held ? (Message)$" {held}" : Message.Empty)
                    + FaultTrainerWords.CompareWhatWasRead
        );
    }

    private static string Looks(int n) => $"{HowMany.Count(n, "look")}";

    private static List<TrainingChoice> Choices(List<FaultPart> parts)
    {
        List<string> pads = [.. parts.Where(p => !p.IsDie).Select(p => p.Id)],
            dies = [.. parts.Where(p => p.IsDie).Select(p => p.Id)];
        return
        [
            .. FaultPriors
                .Default.Where(p => p.Kind is not (FaultKind.None or FaultKind.Misread))
                .Select(p => new TrainingChoice(
                    p.Kind,
                    FaultChecks.Name(p.Kind),
                    p.Kind is FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin ? pads
                        : p.Kind is FaultKind.PasteVoid or FaultKind.PumpOut ? dies
                        : []
                ))
                .Where(c =>
                    c.Parts.Count > 0
                    || c.Kind is FaultKind.Tilt or FaultKind.Floats or FaultKind.LowFlow or FaultKind.Air
                ),
        ];
    }

    private static bool Same(HiddenFault fault, TrainingCheck check) =>
        fault.Kind == check.Kind && fault.Part == check.Part;

    private static TrainingAnswer Answer(IReadOnlyList<HiddenFault> faults, TrainingCheck check)
    {
        var found = faults.FirstOrDefault(f => Same(f, check));
        return new(
            check,
            found is not null,
            found is not null ? (Message)$"Yes: {found.Words}."
                : check.Part is { } part ? (Message)$"{part}: no {FaultChecks.Name(check.Kind)} there."
                : (Message)$"Not that: no {FaultChecks.Name(check.Kind)}."
        );
    }

    /// <summary>How many looks the finder's own order takes.</summary>
    private static int Best(
        FaultBench bench,
        IReadOnlyList<HiddenFault> faults,
        List<TrainingReading> readings,
        IReadOnlyList<FaultPrior>? met
    )
    {
        var found = FaultFinder.Find(
            bench,
            [.. readings.Select(r => new SensorReading(r.Parts, SensorKind.Mean, r.C, SigmaK))],
            met
        );
        // the four corners of a tilt are one look; nobody looks twice
        var looked = new HashSet<(FaultKind, string?)>();
        foreach (var h in found.Hypotheses.Where(h => h.Kind is not (FaultKind.None or FaultKind.Misread)))
        foreach (var part in h.Parts.Count > 0 ? h.Parts.Cast<string?>() : [null])
        {
            looked.Add((h.Kind, part));
            if (faults.All(f => looked.Contains((f.Kind, f.Part))))
                return looked.Count;
        }
        return looked.Count;
    }

    private static double Gauss(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
