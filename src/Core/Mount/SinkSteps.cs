using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Sinks stuck on what no block covers, once the block sits: a board never lies on them meanwhile.</summary>
internal static class SinkSteps
{
    public static ThingId Sink(StuckSink sink) => new(ThingKind.Sink, sink.Board, sink.Part.Id);

    public static ThingId Film(StuckSink sink) => new(ThingKind.Film, sink.Board, $"{sink.Part.Id}/sink");

    private static ThingId On(StuckSink sink) => new(ThingKind.Face, sink.Board, sink.Part.Id);

    public static IEnumerable<WorkStep> Create(WorkOrder order, MatchResult match) =>
        StuckSinks
            .Find(match)
            .GroupBy(s => (s.Board, s.Part.Face, s.Part.Kind, s.Sink.WidthMm, s.Sink.DepthMm, s.Sink.HeightMm))
            .OrderBy(g => g.Key.Board, StringComparer.Ordinal)
            .ThenBy(g => g.Key.Face)
            .ThenBy(g => g.Key.Kind)
            .Select(g => Step(order, [.. g]));

    private static WorkStep Step(WorkOrder order, List<StuckSink> sinks)
    {
        var (first, hottest) = (sinks[0], sinks.MaxBy(s => s.Sink.TemperatureC)!);
        var size = FormattableString.Invariant(
            $"{first.Sink.WidthMm:0.#} × {first.Sink.DepthMm:0.#} × {first.Sink.HeightMm:0.#} mm"
        );
        var kind = PartNames.Several(first.Part.Kind);
        var turned = sinks.Where(s => s.Sink.Turned).Select(s => s.Part.Id).ToList();
        return new()
        {
            Id = new(
                Station.Mount,
                order.ScopeOf(order.Find(first.Board)!),
                FormattableString.Invariant(
                    $"sinks-{kind.Replace(' ', '-')}-{first.Sink.WidthMm:0.#}x{first.Sink.DepthMm:0.#}{(first.Part.Face == Face.Back ? "-back" : "")}"
                )
            ),
            Kind = StepKind.Fit,
            Board = first.Board,
            Pair = first.Pair,
            Face = first.Part.Face,
            Title = SinkStepsWords.StickOfOn(
                sinks.Count == 1 ? "a sink" : $"{sinks.Count} sinks",
                size,
                kind,
                order.On(first.Board)
            ),
            Detail =
                SinkStepsWords.FilmOffStraightDownOntoClean
                + (turned.Count > 0 ? SinkStepsWords.LongSideAcross(string.Join(", ", turned)) : Message.Empty)
                + SinkStepsWords.HottestWillBeInAir(hottest.Part.Id, hottest.Sink.TemperatureC, hottest.Sink.AirC)
                + (hottest.Sink.LimitC is { } limit ? (Message)$", {limit:0} °C allowed." : (Message)$"."),
            Caution = SinkStepsWords.SinkThatComesOffFallsOnto,
            Feel = SinkStepsWords.ItDoesNotTurnUnderFingertip,
            Done = sinks.Count == 1 ? SinkStepsWords.SinkIsOn : SinkStepsWords.SinksOn(sinks.Count),
            Targets = [.. sinks.Select(s => s.Part.Id)],
            Count = sinks.Count > 1 ? sinks.Count : null,
            Counted = sinks.Count > 1 ? CountOf.Sinks : null,
            Facts = [new(size, "sink"), new($"{sinks.Count}", "of them")],
            Acts =
            [
                .. sinks.SelectMany(s => new Act[] { new(Verb.PeelOuter, Film(s)), new(Verb.Fit, Sink(s), On(s)) }),
            ],
        };
    }
}
