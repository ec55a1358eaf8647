using System.Text.Json;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>A screw's spring from two weighings or two lengths and loads.</summary>
internal static class SpringEndpoint
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/compute/spring", AnswerAsync)
            .WithTags("compute")
            .Accepts<JsonElement>("application/json")
            .WithDescription(
                SpringEndpointWords.ReadingsMassGOrLoadNLengthMmHomeMm(
                    WeighedSpring.MinReadings,
                    WeighedSpring.MaxReadings
                )
            );

    private static async Task<Ok<MeasuredSpring>> AnswerAsync(HttpRequest request)
    {
        const double mostMm = 100,
            mostG = 50_000;
        var (readings, home) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    o.Objects(
                        "readings",
                        r =>
                        {
                            var load = r.Has("massG")
                                ? WeighedSpring.Newton(r.Number("massG", 0, mostG))
                                : r.Number("loadN", 0, WeighedSpring.Newton(mostG));
                            var reading = new SpringReading(load, r.Number("lengthMm", 0.1, mostMm));
                            r.End();
                            return reading;
                        }
                    ),
                    o.OptionalNumber("homeMm", 0, mostMm)
                )
        );
        return TypedResults.Ok(WeighedSpring.Fit(readings, home));
    }
}
