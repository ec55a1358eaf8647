using System.Text.RegularExpressions;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Plans;

namespace FaithfulBracket.Core.Plans;

/// <summary>A document as it stood.</summary>
/// <param name="Role">board, block, processor or socket.</param>
/// <param name="Key">Of the workpiece or pair.</param>
/// <param name="Digest">Of its content.</param>
public sealed record DocumentStand(string Role, string Key, string Id, string Digest);

/// <summary>What a step was signed on: its code, quantities and words, and the documents it was calculated from.</summary>
public sealed partial record SignedBasis
{
    /// <summary>The step's title; null for a sign-off from before this was kept.</summary>
    public string? Title { get; init; }
    public IReadOnlyList<Fact> Facts { get; init; } = [];
    public int? Count { get; init; }
    public IReadOnlyList<DocumentStand> Documents { get; init; } = [];

    /// <summary>What the hands did, and the wait that was part of it, s; null in a sign-off from before this was kept.</summary>
    public StepKind? Kind { get; init; }
    public int? WaitS { get; init; }

    /// <summary>
    /// What was done to which thing, turns of the board, hands and films aside; null in a sign-off from before this was kept.
    /// </summary>
    public IReadOnlyList<string>? Acts { get; init; }

    /// <summary>
    /// The title's code and quantities (<see cref="Message.Stated"/>); null in a sign-off from before they were kept.
    /// </summary>
    public IReadOnlyList<string>? Stated { get; init; }

    /// <summary>Whether it was tied afterwards to what the job held then, because nothing was kept when it was signed.</summary>
    public bool TiedLater { get; init; }

    /// <summary>What a step rests on as it is planned now.</summary>
    /// <param name="documents">Every document of the job as it stands now.</param>
    public static SignedBasis From(WorkStep step, IReadOnlyList<DocumentStand> documents) =>
        new()
        {
            Title = step.Title,
            Stated = [.. step.Title.Stated],
            Facts = step.Facts,
            Count = step.Count,
            Kind = step.Kind,
            WaitS = step.TimerS,
            Acts = [.. step.Acts.Where(a => !Aside.Contains(a.Do)).Select(Describe)],
            Documents = [.. documents.Where(d => RestsOn(step, d))],
        };

    /// <summary>What changed since, a sentence each; empty when the signature still stands.</summary>
    /// <param name="step">The same step as it is planned now.</param>
    /// <param name="documents">Every document of the job as it stands now.</param>
    public IReadOnlyList<string> ChangedBy(WorkStep step, IReadOnlyList<DocumentStand> documents)
    {
        var now = From(step, documents);
        var changed = new List<string>();
        var then = Documents.Where(d => RestsOn(step, d)).ToList();
        foreach (var d in then)
        {
            var stands = now.Documents.FirstOrDefault(x => x.Role == d.Role && x.Key == d.Key);
            if (stands is null)
                changed.Add(SignedBasisWords.WasThereIsNoneNow(d.Role, d.Id));
            else if (stands.Id != d.Id)
                changed.Add(SignedBasisWords.WasNowIt(d.Role, d.Id, stands.Id));
            else if (stands.Digest != d.Digest)
                changed.Add(SignedBasisWords.DocumentOfChanged(d.Role, d.Id));
        }
        foreach (var d in now.Documents.Where(x => !then.Exists(d => d.Role == x.Role && d.Key == x.Key)))
            changed.Add($"The {d.Role} {d.Id} came since.");
        if (Title is null)
            return changed;
        var same = StatesTheSame(now) || SaysTheSame(Title, now.Title!) || DoesTheSame(step.Kind, now);
        if (!same)
            changed.Add($"It said “{Title}”, now “{now.Title}”.");
        // when the films of a pad come off is a choice of how: the pad that was laid is the same
        var films = step.Kind == StepKind.Lay && Kind == StepKind.Lay;
        foreach (var f in Facts.Where(f => !films || f.Label is not ("film" or "films")))
        {
            var value = now.Facts.FirstOrDefault(x => x.Label == f.Label)?.Value;
            if (value is not null && value != f.Value)
                changed.Add($"{f.Label}: {f.Value} became {value}.");
        }
        // films were once counted where pads are laid: a block lowered then went over the same pads
        var counted = step.Kind == StepKind.Lower && (Count is null || now.Count is null);
        if (Count != now.Count && same && !films && !counted)
            changed.Add($"{Count?.ToString() ?? "nothing"} to count became {now.Count?.ToString() ?? "nothing"}.");
        return changed;
    }

    /// <summary>Whether the title is the same statement of the same quantities: its words may have been mended since.</summary>
    private bool StatesTheSame(SignedBasis now) =>
        Stated is { } stated
        && stated.SequenceEqual(now.Stated!, StringComparer.Ordinal)
        && Numbers(Title!).SequenceEqual(Numbers(now.Title!), StringComparer.Ordinal);

    /// <summary>
    /// Whether the same is done to the same things by the same numbers, where it is stated by another code. How a screw ends
    /// and how paste is laid is in no act, so of those the figures in the sentence decide.
    /// </summary>
    private bool DoesTheSame(StepKind kind, SignedBasis now) =>
        kind is not (StepKind.Turn or StepKind.Spread)
        && Acts is { Count: > 0 } acts
        && acts.SequenceEqual(now.Acts!, StringComparer.Ordinal)
        && Numbers(Title!).SequenceEqual(Numbers(now.Title!), StringComparer.Ordinal);

    /// <summary>Acts that go with a step or with another one by how the bench stands.</summary>
    private static readonly HashSet<Verb> Aside =
    [
        Verb.TurnOver,
        Verb.Hold,
        Verb.PowerOff,
        Verb.PeelInner,
        Verb.PeelOuter,
    ];

    private static string Describe(Act act) =>
        FormattableString.Invariant(
            $"{act.Do} {act.Thing} {act.To} {act.Count} {act.Turns:0.##} {(act.At is null ? "" : string.Join(",", act.At))}"
        );

    private static IEnumerable<string> Numbers(string sentence) =>
        Number().Matches(sentence).Select(m => m.Value).Order(StringComparer.Ordinal);

    [GeneratedRegex(@"[\w.,-]*\d\w*", RegexOptions.CultureInvariant)]
    private static partial Regex Number();

    /// <summary>Whether two sentences tell the same figures, parts and turns, in whatever words.</summary>
    internal static bool SaysTheSame(string then, string now) =>
        then == now || Figures(then).SequenceEqual(Figures(now), StringComparer.Ordinal);

    private static IEnumerable<string> Figures(string sentence) =>
        Figure().Matches(sentence).Select(m => m.Value.ToUpperInvariant()).Order(StringComparer.Ordinal);

    /// <summary>Names with a hyphen or a number in them, numbers, and what tells how far and which way something is turned.</summary>
    [GeneratedRegex(
        @"\w+(?:-\w+)+|[A-Za-z]*\d+(?:[.,]\d+)?[A-Za-z]*|\b(?:one|two|three|four|five|six|half|quarters?|eighths?|stop|grips?|snug|lightly|once|clockwise|anticlockwise|left|right|upper|lower|cross|line|dot|spread|film)\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant
    )]
    private static partial Regex Figure();

    /// <summary>
    /// The documents a step is calculated from: its board and its block where it names them, else all that its station
    /// reads.
    /// </summary>
    private static bool RestsOn(WorkStep step, DocumentStand d)
    {
        if (d.Role is BoardRole or ProcessorRole or SocketRole or MachineRole)
            return step.Board is null || step.Board == d.Key;
        if (step.Pair is not null)
            return step.Pair == d.Key;
        var ofTheStock = step.Kind is StepKind.PowerOff or StepKind.Unscrew or StepKind.Unplug or StepKind.Lift;
        var ofTheBoard = step.Station == Station.Match && step.Board is not null;
        var before = step.Station == Station.Kit && step.Kind == StepKind.Run;
        return !ofTheStock && !ofTheBoard && !before;
    }

    public const string BoardRole = "board",
        BlockRole = "block",
        ProcessorRole = "processor",
        SocketRole = "socket",
        MachineRole = "machine";
}
