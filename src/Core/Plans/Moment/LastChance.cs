using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Core.Words.Plans.Moment;

namespace FaithfulBracket.Core.Plans.Moment;

public enum ChanceState
{
    Done,

    /// <summary>This step does it itself, before it closes.</summary>
    Here,
    Open,
}

/// <summary>One thing that nobody reaches any more once something has closed over it.</summary>
/// <param name="By">The step that does it, where it is open and another step does it.</param>
public sealed record ChanceItem(Message Text, ChanceState State, StepId? By);

/// <summary>What is looked at for the last time before a step closes something.</summary>
/// <param name="Title">What closes.</param>
public sealed record LastChance(string Title, IReadOnlyList<ChanceItem> Items)
{
    /// <param name="stands">What the signed steps have made of the bench.</param>
    internal static LastChance? Find(
        JobPlan plan,
        Scene scene,
        BenchState stands,
        IReadOnlySet<StepId> signed,
        ThingNames names,
        WorkStep step
    )
    {
        var at = step.Acts.ToList().FindIndex(a => Over(scene, a).Any());
        if (at < 0)
            return null;
        var act = step.Acts[at];
        var closers = Over(scene, act).ToList();
        var closes = closers.SelectMany(c => c.Closes).Distinct().Select(scene.Find).OfType<SceneThing>().ToList();
        var look = new Look(plan, stands, signed, step);
        List<ChanceItem> items = [];
        void Ask(IReadOnlyList<ThingId> things, Func<int, int, Message> words, Condition[] done, params Verb[] by)
        {
            if (things.Count > 0)
                items.Add(look.At(things, words, done, by));
        }
        foreach (var tie in Ties(scene, closers, act))
            Ask([tie], (_, _) => $"{Capital(names.Describe(tie))} plugged", [Condition.Plugged], Verb.Plug);
        List<ThingId> pads = [.. closers.SelectMany(c => c.Takes).Where(t => t.Kind == ThingKind.Pad).Distinct()];
        Ask(
            [.. closes.Select(f => f.Id)],
            (n, of) => $"Faces clean: {n} of {of}",
            [Condition.Clean, Condition.Taken],
            Verb.Clean
        );
        Ask(pads, (n, of) => $"Pads laid: {n} of {of}", [Condition.Laid, Condition.Pressed], Verb.Lay);
        Ask(
            [.. pads.SelectMany(scene.FilmsOf).Concat(Stickers(scene, closers)).Select(f => f.Id)],
            (n, of) => $"Films off: {n} of {of}",
            [Condition.FilmOff],
            Verb.PeelInner,
            Verb.PeelOuter
        );
        Ask(
            [.. closes.Where(f => f.TakesPaste).Select(f => f.Id)],
            (n, of) => of == 1 ? (Message)$"Paste on" : (Message)$"Paste on: {n} of {of}",
            [Condition.Taken],
            Verb.Spread,
            Verb.Coat
        );
        return items.Count == 0
            ? null
            : new(LastChanceWords.LastChanceBeforeCloses(names.Describe(Closing(act))), items);
    }

    private static ThingId Closing(Act act) => act.Thing.Kind == ThingKind.Board && act.To is { } to ? to : act.Thing;

    /// <summary>What an act puts over a board: plates, a back plate, or a stock piece that comes back.</summary>
    private static IEnumerable<SceneThing> Over(Scene scene, Act act) =>
        act is { Do: Verb.BringBack, Thing.Kind: ThingKind.Piece } && scene.Find(act.Thing) is { } piece
            ? scene.Things.Any(t => t.Under.Contains(piece.Id))
                ? [piece]
                : []
            : Closers.By(scene, act);

    /// <summary>What protects the faces of the blocks that close.</summary>
    private static IEnumerable<SceneThing> Stickers(Scene scene, List<SceneThing> closers) =>
        closers
            .Select(c => c.Id.Owner)
            .Distinct()
            .SelectMany(scene.OwnedBy)
            .Where(t => t.Id.Kind == ThingKind.Film && t.On.Count == 0);

    /// <summary>Leads under what closes, and ribbons between the boards that close on one block.</summary>
    private static IEnumerable<ThingId> Ties(Scene scene, List<SceneThing> closers, Act act)
    {
        var over = closers.ConvertAll(c => c.Id);
        var boards = closers
            .SelectMany(c => scene.OwnedBy(c.Id.Owner).Where(t => t.Id.Kind == ThingKind.Plate))
            .Select(t => t.Board)
            .Distinct()
            .ToList();
        return scene
            .Things.Where(t =>
                t.Id.Kind is ThingKind.Lead && t.Under.Any(over.Contains)
                || t.Id.Kind is ThingKind.Ribbon
                    && act.Do == Verb.Lower
                    && boards.Count > 1
                    && t.Holds.All(h => boards.Contains(h.Owner))
            )
            .Select(t => t.Id);
    }

    private static string Capital(string text) => $"{char.ToUpperInvariant(text[0])}{text[1..]}";

    private sealed class Look(JobPlan plan, BenchState stands, IReadOnlySet<StepId> signed, WorkStep step)
    {
        public ChanceItem At(IReadOnlyList<ThingId> things, Func<int, int, Message> words, Condition[] done, Verb[] by)
        {
            var open = things.Where(t => !stands.Is(t, done) || WillOpen(t)).ToList();
            var others = open.Where(t => !Does(step, t, by)).ToList();
            return new(
                words(things.Count - open.Count, things.Count),
                open.Count == 0 ? ChanceState.Done
                    : others.Count == 0 ? ChanceState.Here
                    : ChanceState.Open,
                others.Count == 0 ? null : plan.Steps.FirstOrDefault(s => others.Exists(t => Does(s, t, by)))?.Id
            );
        }

        /// <summary>Whether it is in its place only because nobody has come to take it off yet.</summary>
        private bool WillOpen(ThingId thing) =>
            plan
                .Steps.TakeWhile(s => s.Id != step.Id)
                .Any(s => !signed.Contains(s.Id) && s.Acts.Any(a => a.Do == Verb.Unplug && a.Thing == thing));

        private static bool Does(WorkStep step, ThingId thing, Verb[] by) =>
            step.Acts.Any(a => by.Contains(a.Do) && (a.Thing == thing || a.Do == Verb.Lay && a.To == thing));
    }
}
