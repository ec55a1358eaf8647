using System.Text.Json;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Places on a board from a photo with the target beside it.</summary>
internal static class TraceEndpoint
{
    private const int MaxMarks = 2000,
        MaxPoints = 20_000;

    public const string InWords = "Limits: 2,000 marks, 20,000 points.";

    public static async Task<Ok<TraceResult>> AnswerAsync(HttpRequest request)
    {
        var (marks, points, size, sigma, lens) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var marks = o.Objects(
                    "target",
                    m =>
                    {
                        m.OptionalText("id");
                        return new TargetMark(m.Number("xMm"), m.Number("yMm"), m.Number("uPx"), m.Number("vPx"));
                    }
                );
                var points = o.Objects(
                    "points",
                    p => new ClickedPoint(
                        p.Text("id"),
                        p.Number("uPx"),
                        p.Number("vPx"),
                        p.Number("heightMm", -20, 200, otherwise: 0)
                    )
                );
                var size = o.Numbers("imageSize", 1, 100_000);
                if (size.Count != 2)
                    o.Fault("imageSize", TraceEndpointWords.ExpectedPicturesWidthAndHeight);
                if (marks.Count is < 4 or > MaxMarks)
                    o.Fault("target", TraceEndpointWords.ExpectedToMarksFound(MaxMarks, marks.Count));
                if (points.Count > MaxPoints)
                    o.Fault("points", LimitWords.ExpectedAtMostPointsFound(MaxPoints, points.Count));
                return (marks, points, size, o.OptionalNumber("sigmaPx", 0.001, 100), Lens(o));
            }
        );
        return TypedResults.Ok(PhotoTrace.Run(marks, points, size[0], size[1], sigma, lens));
    }

    /// <summary>true, false or a name; left out, the marks decide.</summary>
    private static LensTerm Lens(ObjectReader o) =>
        o.Raw("lens")?.ValueKind switch
        {
            null => LensTerm.Auto,
            JsonValueKind.True => LensTerm.Radial,
            JsonValueKind.False => LensTerm.None,
            _ => o.OptionalChoice<LensTerm>("lens") ?? LensTerm.Auto,
        };
}
