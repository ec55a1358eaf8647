using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks.Depths;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record DepthsAnswer(IReadOnlyList<StepDepth> Steps);

/// <summary>Steps of a block's lands from what was measured, pressed or printed; nothing stored.</summary>
internal static class DepthsEndpoint
{
    private const double MaxMm = 100;
    private const double MinSigmaMm = 1e-4,
        MaxSigmaMm = 5;

    public static async Task<Ok<DepthsAnswer>> AnswerAsync(HttpRequest request)
    {
        var (frame, readings) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var frame = new DepthFrame(
                    o.Number("dieHeightMm", 0, MaxMm),
                    o.Number("dieSigmaMm", 0, MaxSigmaMm, otherwise: DepthFrame.UsualHeightSigmaMm),
                    o.Number("filmMm", 0, MaxMm, otherwise: DepthFrame.UsualFilmMm)
                );
                var list = o.Objects("readings", r => Reading(r, frame));
                if (list.Count is 0 or > StepDepths.MaxReadings)
                    o.Fault("readings", LimitWords.ExpectedToReadingsFound(StepDepths.MaxReadings, list.Count));
                var crowded = list.GroupBy(r => r.Land).FirstOrDefault(g => g.Count() > StepDepths.MaxOfOneLand);
                if (crowded is not null)
                    o.Fault(
                        "readings",
                        DepthsEndpointWords.LandHasReadings(crowded.Key, crowded.Count(), StepDepths.MaxOfOneLand)
                    );
                return (frame, list);
            }
        );
        return TypedResults.Ok(new DepthsAnswer(StepDepths.Compute(frame, readings)));
    }

    private static DepthReading Reading(ObjectReader r, DepthFrame frame)
    {
        var land = r.Text("land", 64);
        var reading = r.Choice<DepthKind>("kind") switch
        {
            DepthKind.Gauge => DepthReading.Gauge(
                land,
                r.Number("readingMm", -MaxMm, MaxMm),
                r.Number("dieReadingMm", -MaxMm, MaxMm),
                r.Number("toolSigmaMm", MinSigmaMm, MaxSigmaMm, otherwise: DepthReading.UsualToolSigmaMm),
                r.Number("edgeSigmaMm", 0, MaxSigmaMm, otherwise: DepthReading.UsualEdgeSigmaMm)
            ),
            DepthKind.Impression => DepthReading.Impression(
                frame,
                land,
                r.Number("leftMm", 0, MaxMm),
                r.Number("springBack", 0, 2, otherwise: 0),
                r.Number("partHeightMm", 0, MaxMm),
                r.Number("sigmaMm", MinSigmaMm, MaxSigmaMm, otherwise: DepthReading.UsualImpressionSigmaMm),
                r.Number("partSigmaMm", 0, MaxSigmaMm, otherwise: DepthFrame.UsualHeightSigmaMm)
            ),
            _ => Manual(r, frame, land),
        };
        r.End();
        return reading;
    }

    private static DepthReading Manual(ObjectReader r, DepthFrame frame, string land)
    {
        var (least, most) = (r.Number("squashMin", 0, 0.95), r.Number("squashMax", 0, 0.95));
        if (most <= least)
            r.Fault(
                "squashMax",
                DepthsEndpointWords.ExpectedMoreThanSquashMin(
                    least.ToString(System.Globalization.CultureInfo.InvariantCulture)
                )
            );
        return DepthReading.Manual(
            frame,
            land,
            r.Number("padMm", 0.01, MaxMm),
            least,
            most,
            r.Number("partHeightMm", 0, MaxMm),
            r.Number("partSigmaMm", 0, MaxSigmaMm, otherwise: DepthFrame.UsualHeightSigmaMm)
        );
    }
}
