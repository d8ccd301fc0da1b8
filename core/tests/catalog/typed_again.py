"""Every cell of the catalogue's tables a second time, a column at a time.

US conduit, conductors and boxes are from the published tables, the others from the notes that the
tables were made by, so that a slip in one of the two shows. Formulas are held to in the tests.
"""

from __future__ import annotations

TYPED_AGAIN: dict[str, dict[str, str]] = {
    "adjustment-us": {
        "from": "4|7|10|21|31|41",
        "to": "6|9|20|30|40|",
        "percent": "80|70|50|45|40|35",
    },
    "benders": {
        "id": (
            "hand-emt-1/2|hand-emt-3/4|hand-emt-3/4|hand-emt-3/4|hand-emt-1|hand-emt-1|"
            "hand-emt-1|hand-emt-1-1/4|hand-emt-1-1/4|hand-emt-1-1/4|bench-steel-20|"
            "bench-steel-25|ratchet-1|ratchet-1|ratchet-1|ratchet-1|ratchet-1|ratchet-1|"
            "ratchet-1|ratchet-1|ratchet-1|mechanical-2|mechanical-2|mechanical-2|"
            "mechanical-2|mechanical-2|mechanical-2|mechanical-2|mechanical-2|mechanical-2|"
            "powered-2|powered-2|powered-2|powered-2|powered-2|powered-2|powered-2|"
            "powered-2|powered-2|powered-2|powered-2|powered-2|powered-2|powered-2|"
            "powered-2|powered-2|powered-2|powered-2|heat-form-us|heat-form-us|"
            "heat-form-us|heat-form-us|heat-form-us|heat-form-us|heat-form-us|heat-form-us|"
            "heat-form-us|heat-form-us|heat-form-us|heat-form-us|heat-form-metric|"
            "heat-form-metric|heat-form-metric|heat-form-metric"
        ),
        "family": (
            "hand-emt|hand-emt|hand-emt|hand-emt|hand-emt|hand-emt|hand-emt|hand-emt|"
            "hand-emt|hand-emt|bench-steel|bench-steel|ratchet|ratchet|ratchet|ratchet|"
            "ratchet|ratchet|ratchet|ratchet|ratchet|mechanical|mechanical|mechanical|"
            "mechanical|mechanical|mechanical|mechanical|mechanical|mechanical|powered|"
            "powered|powered|powered|powered|powered|powered|powered|powered|powered|"
            "powered|powered|powered|powered|powered|powered|powered|powered|heat|heat|"
            "heat|heat|heat|heat|heat|heat|heat|heat|heat|heat|heat|heat|heat|heat"
        ),
        "label": (
            "1/2|3/4|3/4|3/4|1|1|1|1-1/4|1-1/4|1-1/4|20|25|||||||||||||||||||||||||||||||||"
            "||||inch|inch|inch|inch|inch|inch|inch|inch|inch|inch|inch|inch|metric|metric|"
            "metric|metric"
        ),
        "type": (
            "emt|emt|rmc|imc|emt|rmc|imc|emt|rmc|imc|steel|steel|rmc|rmc|rmc|imc|imc|imc|"
            "emt|emt|emt|rmc|rmc|rmc|imc|imc|imc|emt|emt|emt|rmc|rmc|rmc|rmc|rmc|rmc|imc|"
            "imc|imc|imc|imc|imc|emt|emt|emt|emt|emt|emt|pvc40|pvc40|pvc40|pvc40|pvc40|"
            "pvc40|pvc80|pvc80|pvc80|pvc80|pvc80|pvc80|plastic|plastic|plastic|plastic"
        ),
        "size": (
            "1/2|3/4|1/2|1/2|1|3/4|3/4|1-1/4|1|1|20|25|1/2|3/4|1|1/2|3/4|1|1/2|3/4|1|1-1/4|"
            "1-1/2|2|1-1/4|1-1/2|2|1-1/4|1-1/2|2|1/2|3/4|1|1-1/4|1-1/2|2|1/2|3/4|1|1-1/4|"
            "1-1/2|2|1/2|3/4|1|1-1/4|1-1/2|2|1/2|3/4|1|1-1/4|1-1/2|2|1/2|3/4|1|1-1/4|1-1/2|"
            "2|16|20|25|32"
        ),
        "unit": (
            "in|in|in|in|in|in|in|in|in|in|mm|mm|in|in|in|in|in|in|in|in|in|in|in|in|in|in|"
            "in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|in|"
            "in|in|in|in|in|in|in|in|mm|mm|mm|mm"
        ),
        "take_up": (
            "5|6|5.918|5.893|8|7.887|7.866|11|10.805|10.78|75|93.75|5.17|6.025|7.4075|"
            "5.1575|6.0145|7.395|5.103|5.961|7.3315|9.58|11.2|12.9375|9.569|11.1915|12.93|"
            "9.505|11.12|12.8485|5.17|6.275|7.6575|9.58|11.2|13.1875|5.1575|6.2645|7.645|"
            "9.569|11.1915|13.18|5.103|6.211|7.5815|9.505|11.12|13.0985|4.92|6.025|7.1575|"
            "8.83|11.2|13.4375|4.92|6.025|7.1575|8.83|11.2|13.4375|56|75|97.5|126"
        ),
        "gain": ("2 5/8|3 1/4|||4|||5 5/8||||||||||||||||||||||||||||||||||||||||||||||||||||||||"),
        "radius": (
            "||5.383|5.3705||6.5535|6.543||9.4905|9.478|65|81.25|4.25|5|6.25|4.25|5|6.25|"
            "4.25|5|6.25|8|9.5|11|8|9.5|11|8|9.5|11|4.25|5.25|6.5|8.25|9.75|11.5|4.25|5.25|"
            "6.5|8.25|9.75|11.5|4.25|5.25|6.5|8.25|9.75|11.5|4.5|5.5|6.5|8|10.25|12.25|"
            "4.5|5.5|6.5|8|10.25|12.25|48|65|85|110"
        ),
        "hook": (
            "2|2 1/2|2 1/2|2 1/2|3|3|3|3 1/2|3 1/2|3 1/2|40|50|3|3|3|3|3|3|3|3|3|4 1/2|"
            "4 1/2|4 1/2|4 1/2|4 1/2|4 1/2|4 1/2|4 1/2|4 1/2|4|4|4|4|4|4|4|4|4|4|4|4|4|4|4|"
            "4|4|4|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|"
            "40|40|40|40"
        ),
        "heel": (
            "1|1 1/4|1 1/4|1 1/4|1 1/2|1 1/2|1 1/2|2|2|2|25|30|1 1/2|1 1/2|1 1/2|1 1/2|"
            "1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|2|2|2|2|2|2|2|2|2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|"
            "2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|2 1/2|"
            "1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|1 1/2|40|40|"
            "40|40"
        ),
        "degrees_per_click": (
            "||||||||||||1.5|1.5|1.5|1.5|1.5|1.5|1.5|1.5|1.5|3|3|3|3|3|3|3|3|3|||||||||||||"
            "|||||||||||||||||||||"
        ),
    },
    "bores-metric": {
        "type": "steel|steel|steel|steel|plastic|plastic|plastic|plastic",
        "size": "16|20|25|32|16|20|25|32",
        "bore_mm": "13.0|16.9|21.9|28.9|13.0|16.9|21.4|27.8",
    },
    "box-allowances-us": {
        "size": "18|16|14|12|10|8|6",
        "volume_in3": "1.50|1.75|2.00|2.25|2.50|3.00|5.00",
    },
    "boxes-us": {
        "id": (
            "octagon-4-1-1/4|octagon-4-1-1/2|octagon-4-2-1/8|square-4-1-1/4|square-4-1-1/2|"
            "square-4-2-1/8|square-4-11/16-1-1/4|square-4-11/16-1-1/2|square-4-11/16-2-1/8|"
            "device-3-2-1-1/2|device-3-2-2|device-3-2-2-1/4|device-3-2-2-1/2|"
            "device-3-2-2-3/4|device-3-2-3-1/2|device-4-2-1/8-1-1/2|device-4-2-1/8-1-7/8|"
            "device-4-2-1/8-2-1/8|masonry-2-1/2|masonry-3-1/2|fs-1-3/4|fd-2-3/8|fs-multi|"
            "fd-multi"
        ),
        "description": (
            "4 in round or octagonal x 1 1/4|4 in round or octagonal x 1 1/2|"
            "4 in round or octagonal x 2 1/8|4 in square x 1 1/4|4 in square x 1 1/2|"
            "4 in square x 2 1/8|4 11/16 in square x 1 1/4|4 11/16 in square x 1 1/2|"
            "4 11/16 in square x 2 1/8|3 x 2 x 1 1/2 device|3 x 2 x 2 device|"
            "3 x 2 x 2 1/4 device|3 x 2 x 2 1/2 device|3 x 2 x 2 3/4 device|"
            "3 x 2 x 3 1/2 device|4 x 2 1/8 x 1 1/2 device|4 x 2 1/8 x 1 7/8 device|"
            "4 x 2 1/8 x 2 1/8 device|3 3/4 x 2 x 2 1/2 masonry per gang|"
            "3 3/4 x 2 x 3 1/2 masonry per gang|cast FS 1 3/4 deep single|"
            "cast FD 2 3/8 deep single|cast FS 1 3/4 deep multiple per gang|"
            "cast FD 2 3/8 deep multiple per gang"
        ),
        "volume_in3": (
            "12.5|15.5|21.5|18.0|21.0|30.3|25.5|29.5|42.0|7.5|10.0|10.5|12.5|14.0|18.0|"
            "10.3|13.0|14.5|14.0|21.0|13.5|18.0|18.0|24.0"
        ),
    },
    "cables-uk": {
        "csa_mm2": "1.0|1.0|1.5|1.5|2.5|2.5|4|6|10|16|25",
        "build": (
            "solid|stranded|solid|stranded|solid|stranded|stranded|stranded|stranded|"
            "stranded|stranded"
        ),
        "long": "16|16|22|22|30|30|43|58|105|145|217",
        "short": "22||27|31|39|43|58|88|146|202|385",
        "diameter_mm": "||3.2|3.3|3.9|4.0|4.6|5.2|6.7|7.8|9.7",
        "trunking": "||8.0|8.6|11.9|12.6|16.6|21.2|35.3|47.8|73.9",
        "trunking_thermosetting": "||8.6|9.6|11.9|13.9|18.1|22.9|36.3|50.3|75.4",
    },
    "conductors-bare-us": {
        "insulation": (
            "bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|bare|"
            "bare|bare|bare"
        ),
        "size": "14|12|10|8|6|4|3|2|1|1/0|2/0|3/0|4/0|250|300|350|400|500",
        "diameter_in": (
            "0.064|0.081|0.102|0.146|0.184|0.232|0.260|0.292|0.332|0.372|0.418|0.470|0.528|"
            "0.575|0.630|0.681|0.728|0.813"
        ),
        "area_in2": (
            "0.003|0.005|0.008|0.017|0.027|0.042|0.053|0.067|0.087|0.109|0.137|0.173|0.219|"
            "0.260|0.312|0.364|0.416|0.519"
        ),
    },
    "conductors-us": {
        "insulation": (
            "thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|thhn|"
            "thhn|thhn|thhn|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|"
            "xhhw|xhhw|xhhw|xhhw|xhhw|xhhw|thw|thw|thw|thw|thw|thw|thw|thw|thw|thw|thw|thw|"
            "thw|thw|thw|thw|thw|thw"
        ),
        "size": (
            "14|12|10|8|6|4|3|2|1|1/0|2/0|3/0|4/0|250|300|350|400|500|14|12|10|8|6|4|3|2|1|"
            "1/0|2/0|3/0|4/0|250|300|350|400|500|14|12|10|8|6|4|3|2|1|1/0|2/0|3/0|4/0|250|"
            "300|350|400|500"
        ),
        "diameter_in": (
            "0.111|0.130|0.164|0.216|0.254|0.324|0.352|0.384|0.446|0.486|0.532|0.584|0.642|"
            "0.711|0.766|0.817|0.864|0.949|0.133|0.152|0.176|0.236|0.274|0.322|0.350|0.382|"
            "0.442|0.482|0.528|0.580|0.638|0.705|0.760|0.811|0.858|0.943|0.133|0.152|0.176|"
            "0.236|0.304|0.352|0.380|0.412|0.492|0.532|0.578|0.630|0.688|0.765|0.820|0.871|"
            "0.918|1.003"
        ),
        "area_in2": (
            "0.0097|0.0133|0.0211|0.0366|0.0507|0.0824|0.0973|0.1158|0.1562|0.1855|0.2223|"
            "0.2679|0.3237|0.3970|0.4608|0.5242|0.5863|0.7073|0.0139|0.0181|0.0243|0.0437|"
            "0.0590|0.0814|0.0962|0.1146|0.1534|0.1825|0.2190|0.2642|0.3197|0.3904|0.4536|"
            "0.5166|0.5782|0.6984|0.0139|0.0181|0.0243|0.0437|0.0726|0.0973|0.1134|0.1333|"
            "0.1901|0.2223|0.2624|0.3117|0.3718|0.4596|0.5281|0.5958|0.6619|0.7901"
        ),
    },
    "conduit-factors-uk": {
        "size": "16|20|25|32|38|50|63",
        "short": "290|460|800|1400|1900|3500|5600",
        "rises": "6000|10000|19000|36000|36000|36000|36000",
        "falls": "30|31|33|36|36|36|36",
        "times": "1|1|1|1|1.4|2.6|4.2",
        "bore_mm": "13.0|16.9|21.9|28.9|34.5|46.5|59.5",
    },
    "conduit-metric": {
        "type": "steel|steel|steel|steel|plastic|plastic|plastic|plastic",
        "size": "16|20|25|32|16|20|25|32",
        "od_mm": "16|20|25|32|16|20|25|32",
    },
    "conduit-us": {
        "type": (
            "emt|emt|emt|emt|emt|emt|emt|emt|emt|emt|imc|imc|imc|imc|imc|imc|imc|imc|imc|"
            "imc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|rmc|pvc40|pvc40|pvc40|pvc40|"
            "pvc40|pvc40|pvc40|pvc40|pvc40|pvc40|pvc40|pvc40|pvc80|pvc80|pvc80|pvc80|pvc80|"
            "pvc80|pvc80|pvc80|pvc80|pvc80|pvc80|pvc80"
        ),
        "size": (
            "1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|"
            "4|1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6|1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|"
            "3-1/2|4|5|6|1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6"
        ),
        "od_in": (
            "0.706|0.922|1.163|1.510|1.740|2.197|2.875|3.500|4.000|4.500|0.815|1.029|1.290|"
            "1.638|1.883|2.360|2.857|3.476|3.971|4.466|0.840|1.050|1.315|1.660|1.900|2.375|"
            "2.875|3.500|4.000|4.500|5.563|6.625|0.840|1.050|1.315|1.660|1.900|2.375|2.875|"
            "3.500|4.000|4.500|5.563|6.625|0.840|1.050|1.315|1.660|1.900|2.375|2.875|3.500|"
            "4.000|4.500|5.563|6.625"
        ),
        "id_in": (
            "0.622|0.824|1.049|1.380|1.610|2.067|2.731|3.356|3.834|4.334|0.660|0.864|1.105|"
            "1.448|1.683|2.150|2.557|3.176|3.671|4.166|0.632|0.836|1.063|1.394|1.624|2.083|"
            "2.489|3.090|3.570|4.050|5.073|6.093|0.602|0.804|1.029|1.360|1.590|2.047|2.445|"
            "3.042|3.521|3.998|5.016|6.031|0.526|0.722|0.936|1.255|1.476|1.913|2.290|2.864|"
            "3.326|3.786|4.768|5.709"
        ),
        "area_in2": (
            "0.304|0.533|0.864|1.496|2.036|3.356|5.858|8.846|11.545|14.753|0.342|0.586|"
            "0.959|1.647|2.225|3.630|5.135|7.922|10.584|13.631|0.314|0.549|0.887|1.526|"
            "2.071|3.408|4.866|7.499|10.010|12.882|20.212|29.158|0.285|0.508|0.832|1.453|"
            "1.986|3.291|4.695|7.268|9.737|12.554|19.761|28.567|0.217|0.409|0.688|1.237|"
            "1.711|2.874|4.119|6.442|8.688|11.258|17.855|25.598"
        ),
    },
    "least-radius-us": {
        "size": "1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6",
        "one_shot_in": "4|4 1/2|5 3/4|7 1/4|8 1/4|9 1/2|10 1/2|13|15|16|24|30",
        "other_in": "4|5|6|8|10|12|15|18|21|24|30|36",
    },
    "lock-rings": {
        "size": "1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6|16|20|25|32",
        "unit": "in|in|in|in|in|in|in|in|in|in|in|in|mm|mm|mm|mm",
        "hole": (
            "0.875|1.109|1.375|1.734|1.984|2.469|2.969|3.594|4.125|4.641|5.719|6.813|16.5|"
            "20.5|25.5|32.5"
        ),
        "ring": "1.13|1.38|1.69|2.15|2.42|2.95|3.50|4.25|4.80|5.35|6.60|7.80|23|28|34|42",
        "reach": "0.50|0.50|0.60|0.65|0.70|0.75|0.95|1.00|1.05|1.10|1.20|1.25|11|12|13|14",
    },
    "rules-of-thumb-saddle": {
        "angle": "45|60",
        "multiplier": "2.5|2.0",
        "shrink_per_rise": "3/16|1/4",
    },
    "rules-of-thumb": {
        "angle": "10|15|22.5|30|45|60",
        "multiplier": "6.0|3.9|2.6|2.0|1.414|1.2",
        "shrink_per_rise": "1/16|1/8|3/16|1/4|3/8|1/2",
    },
    "sockets-metric": {
        "size": "16|20|25|32",
        "engaged_mm": "18|20|25|30",
    },
    "sockets-us": {
        "size": "1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6",
        "engaged_in": "0.65|0.72|0.88|0.94|1.06|1.13|1.47|1.59|1.69|1.75|1.94|2.13",
    },
    "springback": {
        "type": "emt|imc|rmc|steel|plastic|pvc40|pvc80",
        "commanded": "93|94|94|93|92|92|92",
        "kept": "90|90|90|90|90|90|90",
    },
    "threads-metric": {
        "size": "16|20|25|32",
        "engaged_mm": "12|12|12|12",
        "pitch_mm": "1.5|1.5|1.5|1.5",
    },
    "threads-us": {
        "size": "1/2|3/4|1|1-1/4|1-1/2|2|2-1/2|3|3-1/2|4|5|6",
        "engaged_in": (
            "0.5337|0.5457|0.6828|0.7068|0.7235|0.7565|1.1375|1.2000|1.2500|1.3000|1.4063|1.5125"
        ),
        "turns_an_inch": "14|14|11.5|11.5|11.5|11.5|8|8|8|8|8|8",
    },
    "trunking-uk": {
        "size": "50x38|50x50|75x25|75x38|75x50|75x75|100x25|100x38|100x50|100x75|100x100",
        "width_mm": "50|50|75|75|75|75|100|100|100|100|100",
        "height_mm": "38|50|25|38|50|75|25|38|50|75|100",
        "factor_mm2": "767|1037|738|1146|1555|2371|993|1542|2091|3189|4252",
    },
    "wire-sizes-us": {
        "size": "18|16|14|12|10|8|6|4|3|2|1|1/0|2/0|3/0|4/0|250|300|350|400|500",
        "name": (
            "18 AWG|16 AWG|14 AWG|12 AWG|10 AWG|8 AWG|6 AWG|4 AWG|3 AWG|2 AWG|1 AWG|"
            "1/0 AWG|2/0 AWG|3/0 AWG|4/0 AWG|250 kcmil|300 kcmil|350 kcmil|400 kcmil|"
            "500 kcmil"
        ),
        "kcmil": (
            "1.62|2.58|4.11|6.53|10.38|16.51|26.24|41.74|52.62|66.36|83.69|105.6|133.1|"
            "167.8|211.6|250|300|350|400|500"
        ),
    },
}


FIGURES: dict[str, str] = {
    "fill.share.percent": "[53, 31, 40]",
    "fill.nipple.percent": "60",
    "fill.nipple.inches": "24",
    "fill.rounding.fraction": "0.8",
    "fill.jam.alike": "3",
    "fill.jam.stretched": "1.05",
    "fill.jam.from_ratio": "2.8",
    "fill.jam.to_ratio": "3.2",
    "fill.trunking.percent": "45",
    "fill.tight.share": "0.9",
    "fill.box.ends": "1",
    "fill.box.passes": "1",
    "fill.box.loops": "2",
    "fill.box.clamps": "1",
    "fill.box.fittings": "1",
    "fill.box.device": "2",
    "fill.box.terminals": "1",
    "fill.box.grounds_together": "4",
    "fill.box.ground_beyond": "0.25",
    "fill.pull_box.straight": "8",
    "fill.pull_box.angle": "6",
    "fill.pull_box.apart": "6",
    "fill.body.times": "2",
    "fill.friction.dry": "0.5",
    "fill.friction.lubricated": "0.35",
    "fill.tension.lbf_per_kcmil": "8",
    "fill.side_wall.lbf_per_ft": "500",
    "fill.mass.copper_kg_m3": "8890",
    "fill.mass.cover_kg_m3": "1400",
    "fill.mass.cable_kg_m3": "2500",
    "fill.pull_points.most_degrees": "360",
    "fill.pull_points.stricter_degrees": "270",
    "fill.duct.metres": "200",
    "fill.duct.less_per_quarter": "50",
    "fill.duct.most_degrees": "270",
    "fill.entries.gap_in": "0.125",
    "fill.entries.device_wide_in": "1.75",
    "fill.entries.device_high_in": "2.75",
    "fill.entries.screws_high_in": "0.7",
    "fill.entries.deep_in": "1.25",
    "fill.entries.wire_room_in": "0.75",
    "limits.metric_inside_radius.diameters": "2.5",
    "limits.warmed_beyond_the_arc.inches": "0.375",
    "limits.warmed_beyond_the_arc.millimetres": "10",
    "limits.flat_between_saddles.inches": "12",
    "limits.pulling.friction": "0.35",
    "limits.parallel_within.within.inches": "0.125",
    "limits.parallel_within.over.inches": "24",
    "limits.parallel_within.within.millimetres": "3",
    "limits.parallel_within.over.millimetres": "600",
    "limits.height_noted_over.inches": "12",
    "limits.height_noted_over.millimetres": "300",
    "limits.half_degree.degrees": "0.5",
    "limits.as_good_as_right.inches": "0.0625",
    "limits.as_good_as_right.millimetres": "1",
    "limits.shot.degrees": "6",
    "limits.room_height.inches": "96",
    "limits.room_height.millimetres": "2400",
    "couplings.set-screw-coupling.joints": "['screwed']",
    "couplings.set-screw-coupling.units": "['in']",
    "couplings.compression-coupling.joints": "['screwed']",
    "couplings.compression-coupling.units": "['in']",
    "couplings.threaded-coupling.joints": "['threaded']",
    "couplings.threaded-coupling.units": "['in']",
    "couplings.coupler.joints": "['threaded']",
    "couplings.coupler.units": "['mm']",
    "couplings.running-coupler.joints": "['threaded']",
    "couplings.running-coupler.units": "['mm']",
    "couplings.union.joints": "['threaded']",
    "couplings.union.units": "['in', 'mm']",
    "couplings.threadless-coupling.joints": "['threaded']",
    "couplings.threadless-coupling.units": "['in', 'mm']",
    "couplings.glued-coupling.joints": "['glued']",
    "couplings.glued-coupling.units": "['in', 'mm']",
    "couplings.set-screw-coupling.takes_mm": "[[36, 19.05], [62, 25.4], [200, 44.45]]",
    "couplings.set-screw-coupling.open_mm": "1.6",
    "couplings.compression-coupling.takes_mm": "[[36, 19.05], [62, 28.6], [200, 50.8]]",
    "couplings.compression-coupling.open_mm": "1.6",
    "couplings.threaded-coupling.open_mm": "3.175",
    "couplings.threaded-coupling.turns": "[5, 7]",
    "couplings.coupler.takes_mm": "[[26, 15], [200, 18]]",
    "couplings.coupler.open_mm": "0",
    "couplings.coupler.turns": "[8, 10]",
    "couplings.running-coupler.takes_mm": "[[26, 15], [200, 18]]",
    "couplings.running-coupler.open_mm": "0",
    "couplings.running-coupler.turns": "[8, 10]",
    "couplings.running-coupler.spare_turns": "2",
    "couplings.running-coupler.ring_mm": "4",
    "couplings.union.open_mm": "12.7",
    "couplings.union.turns": "[5, 7]",
    "couplings.threadless-coupling.takes_mm": "[[36, 22.2], [62, 28.6], [200, 57.2]]",
    "couplings.threadless-coupling.open_mm": "1.6",
    "couplings.glued-coupling.open_mm": "1.6",
    "ducts.side_wall.most_n_m": "7300",
    "supports.strap_mm": "25",
    "supports.emt.first_mm": "914.4",
    "supports.emt.spacing_mm": "[[500, 3048]]",
    "supports.imc.first_mm": "914.4",
    "supports.imc.spacing_mm": "[[500, 3048]]",
    "supports.rmc.first_mm": "914.4",
    "supports.rmc.spacing_mm": "[[500, 3048]]",
    "supports.pvc40.first_mm": "914.4",
    "supports.pvc40.spacing_mm": (
        "[[34, 914.4], [61, 1524], [89, 1828.8], [142, 2133.6], [500, 2438.4]]"
    ),
    "supports.pvc80.first_mm": "914.4",
    "supports.pvc80.spacing_mm": (
        "[[34, 914.4], [61, 1524], [89, 1828.8], [142, 2133.6], [500, 2438.4]]"
    ),
    "supports.steel.first_mm": "300",
    "supports.steel.spacing_mm": "[[16, 750], [25, 1750], [40, 2000], [500, 2250]]",
    "supports.plastic.first_mm": "300",
    "supports.plastic.spacing_mm": "[[16, 750], [25, 1500], [40, 1750], [500, 2000]]",
    "supports.rmc.straight_mm": (
        "[[27, 3048], [34, 3657.6], [49, 4267.2], [74, 4876.8], [500, 6096]]"
    ),
    "supports.steel.upright_mm": "[[16, 1000], [25, 2000], [40, 2250], [500, 2500]]",
    "supports.plastic.upright_mm": "[[16, 1000], [25, 1750], [40, 2000], [500, 2000]]",
    "framing.bearing_share": "40",
    "framing.other_share": "60",
    "framing.edge_left_mm": "15.875",
    "framing.plate_edge_mm": "31.75",
    "framing.plate_exempt": "['emt', 'rmc', 'imc', 'pvc40', 'pvc80']",
    "framing.slid_studs": "2",
    "framing.slid_play_mm": "3",
    "framing.screw_room_mm": "64",
    "framing.leans_degrees": "2",
    "wall-boxes.device.width": "2.125",
    "wall-boxes.device.tall": "4",
    "wall-boxes.device.deep": "2.125",
    "wall-boxes.device.knockout": "0.75",
    "wall-boxes.device.across.middle": "0",
    "wall-boxes.device.up.upper": "1",
    "wall-boxes.device.up.middle": "0",
    "wall-boxes.device.up.lower": "-1",
    "wall-boxes.device.screws": "['middle']",
    "wall-boxes.device.devices": "1",
    "wall-boxes.square.width": "4",
    "wall-boxes.square.tall": "4",
    "wall-boxes.square.deep": "2.125",
    "wall-boxes.square.knockout": "0.75",
    "wall-boxes.square.across.left": "-1.125",
    "wall-boxes.square.across.middle": "0",
    "wall-boxes.square.across.right": "1.125",
    "wall-boxes.square.up.upper": "1.125",
    "wall-boxes.square.up.middle": "0",
    "wall-boxes.square.up.lower": "-1.125",
    "wall-boxes.square.screws": "['middle']",
    "wall-boxes.square.devices": "1",
    "wall-boxes.board.width": "14.25",
    "wall-boxes.board.tall": "20",
    "wall-boxes.board.deep": "3.625",
    "wall-boxes.board.knockout": "1.125",
    "wall-boxes.board.across.far left": "-5",
    "wall-boxes.board.across.left": "-2.5",
    "wall-boxes.board.across.middle": "0",
    "wall-boxes.board.across.right": "2.5",
    "wall-boxes.board.across.far right": "5",
    "wall-boxes.board.up.upper": "6",
    "wall-boxes.board.up.middle": "0",
    "wall-boxes.board.up.lower": "-6",
    "wall-boxes.board.screws": "[]",
    "wall-boxes.board.devices": "0",
    "wall-boxes.single.width": "75",
    "wall-boxes.single.tall": "75",
    "wall-boxes.single.deep": "47",
    "wall-boxes.single.knockout": "22",
    "wall-boxes.single.across.middle": "0",
    "wall-boxes.single.up.upper": "18",
    "wall-boxes.single.up.lower": "-18",
    "wall-boxes.single.screws": "[]",
    "wall-boxes.single.devices": "1",
    "wall-boxes.double.width": "135",
    "wall-boxes.double.tall": "75",
    "wall-boxes.double.deep": "47",
    "wall-boxes.double.knockout": "22",
    "wall-boxes.double.across.left": "-30",
    "wall-boxes.double.across.right": "30",
    "wall-boxes.double.up.upper": "18",
    "wall-boxes.double.up.lower": "-18",
    "wall-boxes.double.screws": "[]",
    "wall-boxes.double.devices": "1",
    "work-times.cut": "2",
    "work-times.ream": "1",
    "work-times.thread": "5",
    "work-times.joint": "2",
    "work-times.flip": "1",
    "work-times.turn": "0.5",
    "work-times.swung": "1",
    "work-times.lifted": "4",
    "work-times.last-piece": "0",
    "work-times.box-off": "5",
    "work-times.wind-back": "2",
    "work-times.running-coupler": "10",
    "work-times.union": "10",
    "work-times.threadless-coupling": "11",
    "heat.warm_seconds_a_mm_of_20": "0.45",
    "heat.passes_when_soft": "5",
    "heat.seconds_a_pass": "4",
    "heat.hold_seconds": "20",
    "heat.rubs": "4",
    "heat.cool_seconds_a_mm_of_diameter": "3.0",
    "heat.gun_off_mm": "10",
    "ducts.bends.radius_per_outside": "10",
    "ducts.bends.cable_diameters": "20",
    "ducts.bends.least_shown_degrees": "0.5",
    "ducts.building.storey_m": "3.0",
    "ducts.building.clear_m": "1.0",
    "ducts.apart.ducts_mm": "50",
    "ducts.apart.power_mm": "300",
    "ducts.apart.side_mm": "75",
    "ducts.tape.over_ducts_mm": "250",
    "ducts.cover_mm.grass": "450",
    "ducts.cover_mm.paved": "450",
    "ducts.cover_mm.road": "600",
    "ducts.to_building.large_count": "1",
    "ducts.to_building.small_count": "2",
    "ducts.tension.most_n": "2700",
    "ducts.quantities.waste_percent": "5",
    "ducts.quantities.duct_m": "6",
    "ducts.quantities.slack_m": "3",
    "ducts.quantities.end_m": "5",
    "ducts.sizes.32.outside_mm": "38",
    "ducts.sizes.32.inside_mm": "32",
    "ducts.sizes.50.outside_mm": "60",
    "ducts.sizes.50.inside_mm": "51",
    "ducts.sizes.100.outside_mm": "114",
    "ducts.sizes.100.inside_mm": "102",
    "ducts.sizes.150.outside_mm": "168",
    "ducts.sizes.150.inside_mm": "152",
    "elastic.steel.of": "['emt', 'imc', 'rmc', 'steel']",
    "elastic.steel.stiffness_gpa": "205",
    "elastic.steel.stress_mpa": "120",
    "elastic.plastic.of": "['pvc40', 'pvc80', 'plastic']",
    "elastic.plastic.stiffness_gpa": "2.8",
    "elastic.plastic.stress_mpa": "15",
    "limits.least_to_thread.inches": "6",
    "limits.least_to_thread.millimetres": "150",
    "limits.spread_of_angles.degrees": "1",
    "limits.spread_of_marks.inches": "0.03125",
    "limits.spread_of_marks.millimetres": "0.5",
    "limits.spread_of_parallel.degrees": "0.5",
    "limits.highest_blocks.inches": "24",
    "limits.highest_blocks.millimetres": "600",
    "stances.give_mm": "6",
    "stances.places.floor.height_mm": "0",
    "stances.places.blocks.height_mm": "100",
    "stances.places.edge.height_mm": "0",
    "stances.places.edge.drop_mm": "1000",
    "stances.places.stand.height_mm": "600",
    "stances.places.bench.height_mm": "850",
    "stances.places.bench.table_mm.ahead": "150",
    "stances.places.bench.table_mm.behind": "350",
    "stances.places.bench.table_mm.aside": "150",
    "stances.places.bench.table_mm.under": "60",
    "stances.hand.small_up_to": "60",
    "stances.hand.takes": "['floor', 'air', 'blocks', 'edge']",
    "stances.ratchet.takes": "['stand', 'floor', 'blocks', 'edge']",
    "stances.mechanical.takes": "['stand', 'floor', 'blocks', 'edge']",
    "stances.powered.takes": "['stand', 'floor', 'blocks', 'edge']",
    "stances.bench.takes": "['bench', 'stand', 'edge']",
    "stances.heat.takes": "['bench', 'stand', 'floor', 'edge']",
    "stances.hand.handle_mm": "965",
    "stances.hand.heel_mm": "45",
    "stances.ratchet.height_mm.stand": "650",
    "stances.ratchet.handle_mm": "900",
    "stances.ratchet.heel_mm": "30",
    "stances.mechanical.handle_mm": "1000",
    "stances.mechanical.heel_mm": "30",
    "stances.powered.handle_mm": "0",
    "stances.powered.heel_mm": "0",
    "stances.bench.handle_mm": "0",
    "stances.bench.heel_mm": "0",
    "stances.heat.handle_mm": "0",
    "stances.heat.heel_mm": "0",
    "stances.heat.table_mm.ahead": "750",
    "stances.heat.table_mm.behind": "750",
    "stances.heat.table_mm.aside": "300",
    "stances.heat.table_mm.under": "5",
    "usual-angles.offset.angles": "[10, 15, 22.5, 30, 45, 60]",
    "usual-angles.offset.usual": "[[25, 15], [75, 22.5], [160, 30], [320, 45], [1000000000.0, 60]]",
    "usual-angles.saddle3.angles": "[30, 45, 60, 90]",
    "usual-angles.saddle3.usual": "[[1000000000.0, 45]]",
    "usual-angles.saddle4.angles": "[15, 22.5, 30, 45, 60]",
    "usual-angles.saddle4.usual": "[[30, 22.5], [160, 30], [1000000000.0, 45]]",
    "usual-angles.kick.angles": "[5, 10, 15, 22.5, 30, 45]",
    "usual-angles.kick.usual": "[[60, 10], [1000000000.0, 15]]",
    "usual-angles.box_offset.angles": "[5, 10, 15, 22.5]",
    "usual-angles.box_offset.usual": "[[1000000000.0, 10]]",
    "usual-angles.turn.angles": "[90]",
    "usual-angles.turn.usual": "[[1000000000.0, 90]]",
    "usual-angles.straight.angles": "[0]",
    "usual-angles.straight.usual": "[[1000000000.0, 0]]",
}
"""Every number of the files that hold single figures, by its name."""
