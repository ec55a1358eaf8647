using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Kit;

namespace FaithfulBracket.Core.Kit;

/// <summary>A tool or stuff that acts need.</summary>
/// <param name="Group">tools, fittings or consumables.</param>
/// <param name="Name">As it lies in the drawer.</param>
/// <param name="Amount">Of stuff as much as is used up; 1 of a tool.</param>
/// <param name="InBox">How much of it comes with the block.</param>
public sealed record Use(string Group, string Name, double Amount, string Unit = "", double InBox = 0);

/// <summary>
/// What the acts of steps need in hand: each tool once, stuff as much as all of them use up. Amounts of stuff are what a
/// careful hand takes, rounded up.
/// </summary>
public static class StepUses
{
    internal const string ToolGroup = "tools",
        FittingGroup = "fittings",
        StuffGroup = "consumables";

    internal const string Key = "opening key";

    private const string Alcohol = "alcohol",
        Cloth = "lint-free cloth",
        Gloves = "gloves",
        Swab = "swab",
        Coat = "insulating coat",
        Alloy = "soaking alloy",
        Scraper = "plastic scraper",
        Spudger = "plastic spudger",
        Knife = "scissors",
        Jig = "lid jig";

    /// <summary>Alcohol on one face, mL; faces that one cloth wipes.</summary>
    private const double AlcoholMl = 1,
        FacesOfCloth = 4;

    /// <summary>Remover on one face, mL.</summary>
    private const double RemoverMl = 0.5;

    /// <summary>Swabs that take up metal from one face, and that spread it on one.</summary>
    private const int SwabsUp = 4,
        SwabsOn = 2;

    /// <summary>Coat over one bare part and alloy on one die, mL.</summary>
    private const double CoatMl = 0.1,
        AlloyMl = 0.2;

    /// <param name="remover">Name of the shop's remover; null where it has none.</param>
    /// <param name="thread">Thread of the port that a fitting is screwed into.</param>
    public static IReadOnlyList<Use> Find(
        IReadOnlyList<WorkStep> steps,
        string? remover,
        Func<ThingId, string> thread
    ) =>
        [
            .. steps
                .SelectMany(s => Find(s, remover, thread))
                .Concat(Worn(steps))
                .GroupBy(u => (u.Group, u.Name, u.Unit))
                .Select(g =>
                    g.First() with
                    {
                        Amount = g.Key.Group == ToolGroup ? 1 : Math.Ceiling(g.Sum(u => u.Amount) - 1e-9),
                        InBox = g.Sum(u => u.InBox),
                    }
                )
                .OrderBy(u => Array.IndexOf(Groups, u.Group)),
        ];

    private static readonly string[] Groups = [FittingGroup, ToolGroup, StuffGroup];

    private static Use Tool(string name) => new(ToolGroup, name, 1);

    private static IEnumerable<Use> Find(WorkStep step, string? remover, Func<ThingId, string> thread)
    {
        var metal = step.Kind == StepKind.Clean && step.Id.Target.StartsWith("metal-off", StringComparison.Ordinal);
        if (metal)
        {
            yield return new(StuffGroup, Swab, SwabsUp * Math.Max(1, step.Targets.Count), "pieces");
            yield break;
        }
        // wiped with remover first where it has to wait
        var soaked = step is { Kind: StepKind.Clean, TimerS: not null };
        if (step.Kind == StepKind.Scrape && step.TimerS is not null)
            yield return new(StuffGroup, Alloy, AlloyMl * step.Acts.Count(a => a.Do == Verb.Wait), "mL");
        if (step.Kind == StepKind.LeakTest)
            yield return Tool("leak tester");
        if (step.Id is { Station: Station.Prove, Target: "water-out" })
            yield return Tool("scale");
        if (step.Kind == StepKind.Note && step.Station == Station.Teardown)
            yield return Tool("caliper");
        if (step.Kind == StepKind.Clean && step.Acts.Any(a => a.Do == Verb.Scrape))
        {
            yield return new(StuffGroup, Swab, SwabsUp * step.Acts.Count, "pieces");
            yield break;
        }
        foreach (var act in step.Acts)
        foreach (var use in Find(step, act, soaked ? remover ?? "remover" : null, thread))
            yield return use;
    }

    private static IEnumerable<Use> Find(WorkStep step, Act act, string? remover, Func<ThingId, string> thread)
    {
        switch (act.Do, act.Thing.Kind)
        {
            case (Verb.Unplug, _):
                yield return Tool(Spudger);
                break;
            case (Verb.Cut or Verb.Trim, _):
                yield return Tool(Knife);
                break;
            case (Verb.Insert, ThingKind.Processor) when act.To == ThingId.Jig:
            case (Verb.Shear, _):
                yield return Tool(Jig);
                break;
            case (Verb.Warm, _):
                yield return Tool("warming plate");
                break;
            case (Verb.Scrape, _):
                yield return Tool(Scraper);
                break;
            case (Verb.Polish, _):
                yield return Tool("polishing glass");
                break;
            case (Verb.Coat, _):
                yield return new(StuffGroup, Coat, CoatMl, "mL");
                break;
            case (Verb.Clean, _):
                yield return new(StuffGroup, Alcohol, AlcoholMl, "mL");
                yield return new(StuffGroup, Cloth, 1 / FacesOfCloth, "pieces");
                if (remover is not null)
                    yield return new(StuffGroup, remover, RemoverMl, "mL");
                break;
            case (Verb.Spread, _) when step.Paste == PasteWay.Film:
                yield return new(StuffGroup, Swab, SwabsOn, "pieces");
                break;
            case (Verb.Spread, _) when step.Paste == PasteWay.Spread:
                yield return Tool("paste spreader");
                break;
            case (Verb.Fit, ThingKind.Fitting):
                yield return new(FittingGroup, $"{thread(act.Thing)} fitting", 1);
                break;
            case (Verb.Join, ThingKind.Link):
                // a fitting between two blocks comes with the block that states it
                yield return act.To is null
                    ? new(FittingGroup, StepUsesWords.BridgingFittingWithRings(act.Thing.Owner), 1, InBox: 1)
                    : new(FittingGroup, "rigid link", 1);
                break;
            case (Verb.Open, ThingKind.Block):
                yield return Tool(Key);
                break;
            case (Verb.Insert, ThingKind.Oring):
                yield return new(FittingGroup, StepUsesWords.ORingOfBlock, 1, InBox: 1);
                break;
        }
    }

    /// <summary>A pair of gloves for every kind of stuff that must not touch skin, or that skin must not touch.</summary>
    private static IEnumerable<Use> Worn(IReadOnlyList<WorkStep> steps)
    {
        var acts = steps.SelectMany(s => s.Acts).Select(a => a.Do).ToHashSet();
        var clean = acts.Contains(Verb.Clean);
        var metal =
            acts.Contains(Verb.Scrape) || steps.Any(s => s.Paste == PasteWay.Film || s.Id.Target == "metal-off");
        var pairs = (clean ? 1 : 0) + (metal ? 1 : 0);
        if (pairs > 0)
            yield return new(StuffGroup, Gloves, pairs, "pairs");
    }
}
