using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads a socket document, version 1.</summary>
public static class SocketReader
{
    public const string Format = "faithful-bracket/socket";

    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Every broken rule with its place.</exception>
    public static Socket Read(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        var faults = new List<InputFault>();
        var socket = Read(new ObjectReader(json.RootElement, "", faults));
        return faults.Count > 0 ? throw new InputException(faults) : socket;
    }

    /// <summary>Reads from an open object and adds faults to it; the result is only good when there are none.</summary>
    public static Socket Read(ObjectReader o)
    {
        DocumentRules.Head(o, Format);
        var socket = new Socket
        {
            Id = DocumentRules.Id(o),
            Name = o.Text("name"),
            PackageOutline = o.Polygon("packageOutline"),
            SeatMm = o.Number("seatMm", -5, 50),
            ContactMinN = o.Number("contactMinN", 0, 100_000, otherwise: 0),
            ContactMaxN = o.Number("contactMaxN", 0, 100_000),
            ClampN = o.Number("clampN", 0, 100_000, otherwise: 0),
            Holes = o.Objects(
                "holes",
                h => new SocketHole(DocumentRules.Id(h), h.Number("x"), h.Number("y"), h.Number("diameterMm", 0.1, 50))
            ),
            Posts = o.Choice<Posts>("posts"),
            StockBackPlate = o.Flag("stockBackPlate", false),
            Gasket = o.Flag("gasket", false),
            Levers = o.OptionalInteger("levers", 0, 4) ?? 0,
            CornerMark = Mark(o),
            KeepOut = o.Objects("keepOut", k => new KeepOut(k.Polygon("outline"), k.Number("heightMm", 0, 200))),
        };
        o.End();
        DocumentRules.Unique(o, "holes", socket.Holes.Select(h => h.Id));
        if (socket.ContactMaxN < socket.ContactMinN)
            o.Fault("contactMaxN", SocketReaderWords.ExpectedNoLessThanContactMinN);
        return socket;
    }

    private static Point2? Mark(ObjectReader o)
    {
        if (o.OptionalPoint("cornerMark") is not { } mark)
            return null;
        if (Math.Abs(mark.X) != 1 || Math.Abs(mark.Y) != 1)
            o.Fault("cornerMark", SocketReaderWords.ExpectedOrAlongXAndY);
        return mark;
    }
}
