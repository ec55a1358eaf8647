using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>A reading with the covered parts it is of.</summary>
internal sealed record FaultSensor(SensorReading Reading, IReadOnlyList<FaultPart> Parts, int Index)
{
    /// <exception cref="InputException">A reading of parts that the block does not cover.</exception>
    public static IReadOnlyList<FaultSensor> From(FaultBench bench, IReadOnlyList<SensorReading> readings)
    {
        var faults = new List<InputFault>();
        var known = bench.Parts.ToDictionary(p => p.Id);
        var sensors = new List<FaultSensor>();
        for (var i = 0; i < readings.Count; i++)
        {
            var parts = readings[i].Parts.Where(known.ContainsKey).Distinct().Select(p => known[p]).ToList();
            if (parts.Count == 0)
                faults.Add(
                    new(
                        $"readings/{i}/parts",
                        FaultSensorWords.BlockCoversNoneOfTheseNothing(string.Join(", ", readings[i].Parts))
                    )
                );
            else
                sensors.Add(new(readings[i], parts, i));
        }
        return faults.Count > 0 ? throw new InputException(faults) : sensors;
    }

    /// <summary>As expected, °C.</summary>
    public double Expected(FaultBench bench) =>
        Reading.Kind == SensorKind.Max ? Parts.Max(bench.ExpectedC) : Parts.Average(bench.ExpectedC);

    /// <summary>With a fault, °C.</summary>
    public double With(FaultBench bench, FaultPlace place, double size)
    {
        var c = Parts.Select(p => place.Heat(bench, p, size).C);
        return (Reading.Kind == SensorKind.Max ? c.Max() : c.Average())
            + (place.Sensor == Index ? place.OffK(size) : 0);
    }
}
