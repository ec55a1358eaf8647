namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of pad steps.</summary>
internal static class PadStepsWords
{
    public static Message LettersFollowCuttingSheetEdge(double widthMm, double depthMm, string letters) =>
        $"{widthMm:0.#} × {depthMm:0.#} mm, letters {letters}. Follow the cutting sheet, edge to edge.";

    public static Message CutAwayFromHand => $"Cut away from the hand.";

    public static Message IntoHalfFor => $"into the half for";

    public static Message Place(
        int count,
        string pads,
        double thicknessMm,
        string place,
        string parts,
        string at,
        string letters
    ) => $"Place {count} {pads} ({thicknessMm:0.0#} mm) {place} the {parts}{at}: {letters}";

    public static Message PeelInnerFilmOfEach(string films) =>
        $"Peel the inner film off each ({films}). The outer film stays on. ";

    public static Message FilmOffBothSidesOfEach(int films) =>
        $"Peel the film off both sides of each ({films} films). ";

    public static Message PressEachOnChip(string where) => $"Press each on its chip, {where}.";

    public static Message EachOnLandInHalf =>
        $"Each on its land, in the half that lies open: the board comes down on them.";

    public static Message InnerFilmOffEachInAll(string films) =>
        $"Inner film off each, {films} in all, drawn slowly: these stretch; the outer one stays on. Clear of "
        + $"every bolt hole, with room to spread.";

    public static Message FilmLeftOnPadOverheatsChip =>
        $"A protective film left on a pad makes the chip under it overheat. Count the films.";

    public static Message OnBackOfModule(string board) => $" on the back of module {board}";

    public static Message OnBoardWherePartShows => $"on the board, where its part shows it";

    public static Message OnBlockInPocket => $"on the block, in its pocket";

    public static Message TackySideToBlock => $"tacky side to the block";

    public static Message ScrewsOfBlockStrip(string pair) => $"screws of block {pair} strip";

    public static Message Cut(string pieces) => $"{pieces} cut";

    public static Message CutFrom(string pieces, string sheet, string cuts) => $"Cut {pieces} from {sheet} ({cuts})";

    public static Message LaidOff(int listCount, string films) => $"{listCount} laid, {films} off";
}
