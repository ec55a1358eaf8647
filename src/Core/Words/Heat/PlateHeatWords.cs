namespace FaithfulBracket.Core.Words.Heat;

/// <summary>Sentences of plate heat.</summary>
internal static class PlateHeatWords
{
    public static Message LimitsCellsSourcesCooledAreasProbes =>
        $"Limits: 60,000 cells, 500 sources, 100 cooled areas, 2,000 probes; a plate too large for its cells "
        + $"answers 422.";

    public static Message SourceLiesBesidePlate => $"The source lies beside the plate.";

    public static Message ProbeLiesBesidePlate => $"The probe lies beside the plate.";

    public static Message SmallestSourceIsWide(double smallest, double wanted) =>
        $"The smallest source is {smallest:0.##} mm wide. It needs cells of {wanted:0.###} mm; ";

    public static Message ThisCallAllowsSoTemperatures(double allowed) =>
        $"this call allows {allowed:0.###} mm, so temperatures under it can be up to 8 % low.";

    public static Message SmallestSourceIsWideAndCells(double smallest, double cell) =>
        $"The smallest source is {smallest:0.##} mm wide and the cells are {cell:0.###} mm: ";

    public static Message LeaveOutCellMmOrAsk(double smallest) => $"Leave out cellMm, or ask for {smallest:0.###} mm.";

    public static Message TemperaturesUnderItAreTooLow(string drawn, string better) =>
        $"{drawn}temperatures under it are too low. {better}";
}
