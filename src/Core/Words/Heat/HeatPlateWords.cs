namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of heat plate.</summary>
internal static class HeatPlateWords
{
    public static Message CellsAtMost(int gridCount, int maxCells) =>
        $"{gridCount} cells; at most {maxCells}: take larger cells.";

    public static Message NothingCoolsPlate => $"Nothing cools the plate: its temperature has no end.";

    public static Message AtThisCellSizePart =>
        $"At this cell size a part of the plate is cut off from what cools it: take smaller cells.";
}
