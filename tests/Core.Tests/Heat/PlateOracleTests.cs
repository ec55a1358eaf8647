using System.Text.Json;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The sheet against a solid finite-element model of the same plates (tests/oracles/plate-fe.mjs made the figures).</summary>
public class PlateOracleTests
{
    public static TheoryData<string> Plates =>
        [.. Read().EnumerateArray().Select(p => p.GetProperty("name").GetString()!)];

    private static JsonElement Read() =>
        JsonDocument
            .Parse(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Data", "plate-fe.json")))
            .RootElement;

    [Theory]
    [MemberData(nameof(Plates))]
    public void A_thin_sheet_tells_what_a_solid_does_within_two_per_cent_of_the_rise(string name)
    {
        var plate = Read().EnumerateArray().Single(p => p.GetProperty("name").GetString() == name);
        double D(JsonElement e, string field) => e.GetProperty(field).GetDouble();
        var probes = plate.GetProperty("probes").EnumerateArray().ToList();
        var coolant = D(plate, "coolantC");
        var told = PlateHeat.Compute(
            new(
                new([
                    .. plate
                        .GetProperty("outline")
                        .EnumerateArray()
                        .Select(p => new Point2(p[0].GetDouble(), p[1].GetDouble())),
                ]),
                D(plate, "tMm"),
                D(plate, "k"),
                null,
                [
                    .. plate
                        .GetProperty("cooled")
                        .EnumerateArray()
                        .Select(c => new CooledArea(
                            Polygon.Rectangle(new(D(c, "x"), D(c, "y")), D(c, "w"), D(c, "d")),
                            D(c, "h")
                        )),
                ],
                [
                    .. plate
                        .GetProperty("sources")
                        .EnumerateArray()
                        .Select(s => new HeatSource(D(s, "x"), D(s, "y"), D(s, "w"), D(s, "d"), D(s, "watts"))),
                ],
                coolant,
                [.. probes.Select(p => new Point2(D(p, "x"), D(p, "y")))],
                0.5
            )
        );
        var most = probes.Max(p => D(p, "c")) - coolant;
        Assert.All(
            probes.Zip(told.ProbesC),
            x =>
                Assert.True(
                    Math.Abs(x.Second - D(x.First, "c")) < 0.02 * most,
                    $"({D(x.First, "x")}, {D(x.First, "y")}): solid {D(x.First, "c"):0.00}, sheet {x.Second:0.00} °C"
                )
        );
    }
}
