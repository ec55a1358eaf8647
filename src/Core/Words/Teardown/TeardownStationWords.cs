namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of teardown station.</summary>
internal static class TeardownStationWords
{
    public static Message NothingIsPlugged => $"Nothing is plugged in";

    public static Message LookThatNothingIsPlugged => $"Check that nothing is plugged in, and put the wrist strap on";

    public static Message StrapsCordEndsOnEarthedMetal =>
        $"The strap's cord ends on earthed metal, and the board lies on its own bag or a mat.";

    public static Message TouchEarthedMetalOrWearCorded =>
        $"Touch earthed metal or wear a corded wrist strap. A cordless strap does not protect.";

    public static Message PowerIsOff => $"Power is off";

    public static Message TakeOutGroup(string screws, string target) => $"Take out {screws}, group {target}";

    public static Message Lift(string piece) => $"Lift the {piece}";

    public static Message UnpluggedAndMarked => $"Unplugged and marked";

    public static Message Unplug(string name) => $"Unplug the {name}";

    public static Message InTray(int? stepCount) => $"{stepCount} in the tray";

    public static Message SwitchOffUnplugThenPressSwitch =>
        $"Switch off, unplug, then press the power switch to discharge the board";

    public static Message BoardComesOffFirst(string boards) => $"Lift board {boards} off first; pads may hold it too.";

    public static Message StaysPlugged(string ribbon, double apartMm) =>
        $"The {ribbon} stays plugged. Open the boards over its edge like a book and lay them side by side, at most {Math.Floor(apartMm):0} mm apart.";

    public static Message PowerSuppliesAreNeverOpened => $"Power supplies are never opened: that is licensed work.";
}
