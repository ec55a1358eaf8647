using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>Moves, turns and mirrors what lies on a drawing: by its x and y, or by its outline.</summary>
internal static class Geometry
{
    /// <summary>Steps of a ten-thousandth of a millimetre: no drift from many small moves.</summary>
    private const int Digits = 4;

    public static void Move(JsonObject item, double x, double y)
    {
        if (IsPlaced(item))
            Put(item, Number(item, "x") + x, Number(item, "y") + y);
        else
            Outline(item, p => p + new Point2(x, y));
    }

    public static void Turn(JsonObject item, double deg)
    {
        if (IsPlaced(item))
        {
            // a slot lies along its own direction, a part turns about its middle, a plain hole is round
            foreach (var field in (string[])["rotationDeg", "slotDeg"])
                if (item[field] is not null || field == "rotationDeg" && item["widthMm"] is not null)
                    item[field] = Math.Round(Half(Number(item, field) + deg), Digits);
            return;
        }
        var points = Points(item);
        // a line without area has no centre of area
        var centre =
            Math.Abs(Polygon.Shoelace(points)) > 1e-9
                ? new Polygon(points).Centroid
                : new(points.Average(p => p.X), points.Average(p => p.Y));
        Outline(item, p => centre + (p - centre).Turned(deg * Math.PI / 180));
    }

    public static void Mirror(JsonObject item, bool acrossX, double about)
    {
        Point2 Over(Point2 p) => acrossX ? new(2 * about - p.X, p.Y) : new(p.X, 2 * about - p.Y);
        if (!IsPlaced(item))
        {
            Outline(item, Over);
            return;
        }
        var at = Over(new(Number(item, "x"), Number(item, "y")));
        Put(item, at.X, at.Y);
        foreach (var field in (string[])["rotationDeg", "slotDeg"])
            if (item[field] is not null)
                item[field] = Math.Round(Half(acrossX ? 180 - Number(item, field) : -Number(item, field)), Digits);
        // an outline in the part's own frame: turned about by half a turn across x, it is mirrored in y alone
        if (item["outline"] is JsonArray)
            Outline(item, p => new(p.X, -p.Y));
    }

    private static bool IsPlaced(JsonObject item) => item["x"] is not null && item["y"] is not null;

    private static double Number(JsonObject item, string field) =>
        item[field]?.GetValueKind() == JsonValueKind.Number ? Figure(item[field]!) : 0;

    /// <summary>Whether it was read, set as a whole number or as a fraction.</summary>
    private static double Figure(JsonNode number) =>
        double.Parse(number.ToJsonString(), NumberStyles.Float, CultureInfo.InvariantCulture);

    /// <summary>Within ±180.</summary>
    private static double Half(double deg)
    {
        var whole = deg % 360;
        return whole > 180 ? whole - 360
            : whole <= -180 ? whole + 360
            : whole;
    }

    private static void Put(JsonObject item, double x, double y) =>
        (item["x"], item["y"]) = (Math.Round(x, Digits), Math.Round(y, Digits));

    private static List<Point2> Points(JsonObject item)
    {
        if (item["outline"] is not JsonArray list || list.Count < 3)
            throw new InputException("", GeometryWords.HasNeitherPlaceNorOutline(Places.NameOf(item)));
        try
        {
            return [.. list.Select(p => new Point2(Figure(p![0]!), Figure(p[1]!)))];
        }
        catch (Exception e)
            when (e
                    is InvalidOperationException
                        or ArgumentOutOfRangeException
                        or NullReferenceException
                        or FormatException
            )
        {
            throw new InputException("", GeometryWords.OutlineHoldsSomething(Places.PointerOf(item)));
        }
    }

    private static void Outline(JsonObject item, Func<Point2, Point2> how) =>
        item["outline"] = new JsonArray([
            .. Points(item)
                .Select(how)
                .Select(p => (JsonNode)new JsonArray(Math.Round(p.X, Digits), Math.Round(p.Y, Digits))),
        ]);
}
