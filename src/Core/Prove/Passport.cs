using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>What a contact is forecast to be once it is closed.</summary>
/// <param name="GapMm">Film or pressed pad between part and block, mm; null where nobody knows what presses it.</param>
/// <param name="LoadN">Null where nobody has looked at the springs that make it.</param>
/// <param name="EdgeGapMm">
/// From the board to the block's underside at the edge next to the part: what a feeler or an eye meets there; null
/// where no edge can be looked under.
/// </param>
public sealed record PassportForecast(double? GapMm, double? LoadN, double? EdgeGapMm)
{
    /// <summary>As it is told.</summary>
    public Message Text =>
        GapMm is { } gap && LoadN is { } load
            ? (Message)$"{gap:0.00} mm, {load:0} N"
            : Words.Blocks.UnknownSpringsWords.NotKnownSpringsNotLooked;
}

/// <summary>A contact without what was seen of it.</summary>
/// <param name="Board">Key of its board.</param>
public sealed record ForecastContact(string Board, string Part, string Contact, PassportForecast Of);

/// <summary>Something that confirms a contact, or doubts it.</summary>
public sealed record PassportSeen(string What, FigureSource Source, bool Agrees);

/// <summary>One contact of a block with a board, for its next owner.</summary>
/// <param name="Contact">The part; with its board's key where the order has several.</param>
public sealed record PassportContact(string Contact, PassportForecast Forecast, IReadOnlyList<PassportSeen> Seen)
{
    public ContactStand Stand =>
        Seen.Count == 0 ? ContactStand.Open
        : Seen.All(s => s.Agrees) ? ContactStand.Confirmed
        : ContactStand.Doubted;

    /// <summary>The picture that would decide it without a lift; null where it is confirmed, or no edge can be looked under.</summary>
    public string? Ask =>
        Stand != ContactStand.Confirmed && Forecast.EdgeGapMm is { } edge
            ? PassportWords.PhotographEdgeBesideWithFeelerGauge(Contact, edge)
            : null;
}

/// <summary>What a contact's evidence comes to.</summary>
public enum ContactStand
{
    /// <summary>Nothing was seen of it.</summary>
    Open,
    Confirmed,
    Doubted,
}

/// <summary>Every contact of a job with its forecast.</summary>
public static class Passport
{
    public static IReadOnlyList<ForecastContact> Contacts(WorkOrder order, IReadOnlyList<PairPads> pairs) =>
        [
            .. pairs.SelectMany(pair =>
                pair is { Stack: { } stack, Seating: { } seated } ? Forecast(order, pair.Board, stack, seated) : []
            ),
        ];

    private static IEnumerable<ForecastContact> Forecast(
        WorkOrder order,
        string key,
        StackUp stack,
        SeatingResult seated
    )
    {
        var board = stack.Board;
        string Name(string part) => order.Pieces.Count > 1 ? $"{key}/{part}" : part;
        foreach (var die in seated.Dies)
            if (board.FindPart(die.Part) is { } part)
                yield return new(
                    key,
                    part.Id,
                    Name(part.Id),
                    new(
                        die.LoadUnknown ? null : die.BondLinesUm.Average() / 1000,
                        die.LoadUnknown ? null : die.LoadN,
                        EdgeGap(stack, seated, part)
                    )
                );
        foreach (var pad in seated.Pads)
            if (board.FindPart(pad.Part) is { } part && stack.Pads.FirstOrDefault(p => p.Part == pad.Part) is { } laid)
                yield return new(
                    key,
                    part.Id,
                    Name(part.Id),
                    new(laid.ThicknessMm * (1 - pad.Squash), pad.LoadN, EdgeGap(stack, seated, part))
                );
    }

    /// <summary>Underside of the plate over the board, at the point of its outline next to the part.</summary>
    private static double? EdgeGap(StackUp stack, SeatingResult seated, Part part)
    {
        if (part.Face == Face.Back)
            return null;
        var (_, block, placement) = stack.Laid;
        var plate = block.Plates.FirstOrDefault(p =>
            p.Face == Face.Front && placement.Apply(p.Outline).Contains(part.At)
        );
        if (plate is null)
            return null;
        var edge = Nearest(placement.Apply(plate.Outline), part.At);
        var (slopeX, slopeY) = (
            -Math.Tan(seated.TiltDeg[1] * Math.PI / 180),
            Math.Tan(seated.TiltDeg[0] * Math.PI / 180)
        );
        return seated.PlaneMm + slopeX * edge.X + slopeY * edge.Y + plate.BaseStepMm;
    }

    private static Point2 Nearest(Polygon outline, Point2 to)
    {
        var best = outline.Points[0];
        for (var i = 0; i < outline.Points.Count; i++)
        {
            Point2 a = outline.Points[i],
                b = outline.Points[(i + 1) % outline.Points.Count],
                edge = b - a;
            var along = edge.Length > 0 ? Math.Clamp((to - a).Dot(edge) / (edge.Length * edge.Length), 0, 1) : 0;
            var at = a + edge * along;
            if ((at - to).Length < (best - to).Length)
                best = at;
        }
        return best;
    }
}
