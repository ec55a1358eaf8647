namespace FaithfulBracket.Core.Orders;

/// <summary>What a step done right looks and feels like, by what the hands do.</summary>
public static class WhatToFeel
{
    /// <summary>One or two sentences; null where there is nothing to see or feel.</summary>
    public static string? Of(StepKind kind) =>
        kind switch
        {
            StepKind.Read => "Read it aloud to yourself: figures, not the name, decide.",
            StepKind.Count => "Pour the bag into the tray, sort by length, count each heap twice.",
            StepKind.Run => "Steady means: no temperature moves by more than half a kelvin in five minutes.",
            StepKind.PowerOff => "Press the switch: no fan twitches, no light glows. Wait half a minute.",
            StepKind.Unscrew =>
                "The tip sits full in the head before it turns. A screw that comes easily is out; one that squeaks is still under load.",
            StepKind.Unplug => "The plug gives without the wires moving. Mark where it sat and which way round.",
            StepKind.Lift =>
                "It lets go with a slow tack, first at one corner. A hard stop means a screw or a lead: put it down and look.",
            StepKind.Clean => "The cloth comes away white, the face shows no film when you tilt it to the light.",
            StepKind.Prepare => "The face mirrors the lamp without a streak.",
            StepKind.DryFit => "It lies flat by its own weight and does not rock on any corner.",
            StepKind.Cut => "The blade goes through in one stroke along the ruler; the edge stands square.",
            StepKind.Lay => "Pressed with a fingertip the pad stays, and its corners show all round the chip.",
            StepKind.Spread => "Even from the side, no silicon shining through, nothing over the edge.",
            StepKind.Lower => "It comes down level and rests on its pads; every hole shows a thread.",
            StepKind.Start => "Each screw turns two rounds with the fingers. One that binds is crossed: back it out.",
            StepKind.Turn => "Resistance grows softly and the same on each.",
            StepKind.BackPlate => "It lies flat, no lead under it; the screws find their thread at once.",
            StepKind.Fit => "It drops in without force.",
            StepKind.Plug => "The ring squeezes in evenly and the rim lies flat: hand tight is tight.",
            StepKind.Connect => "It clicks or stops short of the board; a gentle pull does not move it.",
            StepKind.Look => "The same sliver of light all along each edge; none at the die.",
            StepKind.Photograph => "Every chip is sharp and in the picture, and a ruler lies beside them.",
            StepKind.LeakTest => "Dry paper under every joint when the wait is over.",
            StepKind.Fill => "No bubble crosses the block for a minute, and the level in the reservoir stays.",
            StepKind.Boot => "A picture, and every sensor shows a figure that can be.",
            StepKind.Store => "Every cell of the tray goes into its own bag with its label.",
            StepKind.Fasten => "The length you took out goes back in: it stops where it stopped before.",
            StepKind.Seat => "It drops in by its own weight and lies flat: no contact is touched, nothing is pushed.",
            StepKind.Warm => "Warm right through, not just on top: the jig takes the heat too.",
            StepKind.Shear => "A soft tick as the bond lets go; the lid moves on its own from then on.",
            StepKind.Scrape => "The tool slides without a catch; the light shows no edge of the old film.",
            StepKind.Coat => "A closed, glossy skin over every part, the old glue line left clean.",
            StepKind.Rebuild => "Every part lies in its bed before a screw turns; the gap closes evenly all round.",
            _ => null,
        };
}
