using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>What a new entry of a list begins as, until somebody says more.</summary>
internal static class NewItem
{
    private const double LandSideMm = 10;

    /// <param name="to">Pointer of the list it joins.</param>
    /// <exception cref="InputException">Nothing is known to begin with: it has to be sent whole.</exception>
    public static JsonObject For(string to, double x, double y, bool back)
    {
        var list = to[(to.LastIndexOf('/') + 1)..];
        var ofBlock = to.StartsWith("/plates/", StringComparison.Ordinal);
        return list switch
        {
            "parts" => new()
            {
                ["id"] = "P1",
                ["kind"] = "unknown",
                ["face"] = back ? "back" : "front",
                ["x"] = x,
                ["y"] = y,
                ["widthMm"] = 5,
                ["depthMm"] = 5,
                ["rotationDeg"] = 0,
                ["heightMm"] = null,
            },
            "holes" when ofBlock => new()
            {
                ["id"] = "S1",
                ["x"] = x,
                ["y"] = y,
                ["screwMm"] = 2.5,
                ["thread"] = "M2.5",
                ["role"] = "perimeter",
                ["ring"] = 1,
                ["required"] = true,
                ["evidence"] = "assumed",
            },
            "holes" => new()
            {
                ["id"] = "H1",
                ["x"] = x,
                ["y"] = y,
                ["diameterMm"] = 3.2,
                ["role"] = "perimeter",
            },
            "lands" => new()
            {
                ["id"] = "L1",
                ["outline"] = Square(x, y),
                ["stepMm"] = 0,
                ["stepTolMm"] = 0.75,
                ["for"] = "other",
                ["through"] = "pad",
                ["evidence"] = "assumed",
            },
            "pockets" => new() { ["outline"] = Square(x, y), ["stepMm"] = 1 },
            "ports" => new()
            {
                ["id"] = "P1",
                ["thread"] = "G1/4",
                ["x"] = x,
                ["y"] = y,
                ["facing"] = "up",
                ["role"] = "either",
            },
            "screws" => new()
            {
                ["thread"] = "M2.5",
                ["lengthMm"] = 6,
                ["count"] = 1,
            },
            "sinks" => new()
            {
                ["widthMm"] = 14,
                ["depthMm"] = 14,
                ["heightMm"] = 10,
                ["rKPerW"] = 20,
                ["count"] = 1,
            },
            "headers" => new() { ["id"] = "X1", ["kind"] = "fan" },
            "pieces" => new()
            {
                ["id"] = "piece1",
                ["name"] = "new piece",
                ["face"] = back ? "back" : "front",
            },
            "leads" => new()
            {
                ["id"] = "W1",
                ["name"] = "new lead",
                ["between"] = new JsonArray("board", "board"),
            },
            _ => throw new InputException("", NewItemWords.NothingIsKnownOfNewEntry(to)),
        };
    }

    private static JsonArray Square(double x, double y)
    {
        const double h = LandSideMm / 2;
        return [Corner(x - h, y - h), Corner(x + h, y - h), Corner(x + h, y + h), Corner(x - h, y + h)];

        static JsonArray Corner(double x, double y) => [Math.Round(x, 4), Math.Round(y, 4)];
    }
}
