using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Plans.Moment;

namespace FaithfulBracket.Core.Plans.Moment;

/// <summary>Faces, paste and pads that a signed step opened and that nothing has closed over yet.</summary>
/// <param name="Text">What waits.</param>
/// <param name="Since">When the step that opened it was signed, the first of them.</param>
public sealed record Exposure(Message Text, string Since)
{
    internal static IReadOnlyList<Exposure> Find(
        JobPlan plan,
        Scene scene,
        BenchState stands,
        IReadOnlyDictionary<StepId, string> signed
    )
    {
        var found = new List<(Kind Kind, string Since)>();
        foreach (var step in plan.Steps.Where(s => signed.ContainsKey(s.Id)))
        foreach (var act in step.Acts)
            if (Waits(scene, stands, act) is { } kind)
                found.Add((kind, signed[step.Id]));
        return
        [
            .. found
                .GroupBy(f => f.Kind)
                .Select(g => new Exposure(Words(g.Key, g.Count()), g.Select(f => f.Since).Min(StringComparer.Ordinal)!))
                .OrderBy(e => e.Since, StringComparer.Ordinal),
        ];
    }

    private enum Kind
    {
        Face,
        Paste,
        Metal,
        Pad,
    }

    private static Kind? Waits(Scene scene, BenchState stands, Act act)
    {
        if (scene.Find(act.Thing) is not { } thing)
            return null;
        var open = !thing.Under.Any(o => stands.Is(o, Condition.On));
        return act.Do switch
        {
            Verb.Clean when thing.Board is not null && open && stands.Is(act.Thing, Condition.Clean) => Kind.Face,
            Verb.Spread when open && stands.Is(act.Thing, Condition.Taken) => Kind.Paste,
            Verb.Coat when open && stands.Is(act.Thing, Condition.Taken) => Kind.Metal,
            Verb.PeelOuter when thing.On is [{ Kind: ThingKind.Pad } pad] && stands.Is(pad, Condition.Laid) => Kind.Pad,
            _ => null,
        };
    }

    private static Message Words(Kind kind, int count) =>
        kind switch
        {
            Kind.Paste => count == 1 ? (Message)$"paste is spread" : ExposureWords.PasteIsSpreadOnFaces(count),
            Kind.Metal => ExposureWords.LiquidMetalIs,
            Kind.Pad => ExposureWords.WithoutOuterFilm(HowMany.Count(count, "pad")),
            _ => count == 1 ? ExposureWords.FaceIsCleanAndOpen : ExposureWords.FacesAreCleanAndOpen(count),
        };
}
