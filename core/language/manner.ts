const words = (list: string): ReadonlySet<string> => new Set(list.trim().split(/\s+/))

/** Words that say how an ingredient is cut, warmed, bought or praised, not what it is. */
export const MANNER =
  words(`soft softened softer melted cold cool cooled chilled warm warmed hot lukewarm tepid room temperature temp fresh freshly
  ripe overripe very large medium small big extra jumbo free range organic good quality best fine finely coarse coarsely
  roughly chopped diced cubed sliced grated shredded crushed mashed peeled pitted stoned cored squeezed strained drained
  rinsed toasted roasted blanched unblanched skinless sifted sieved packed firmly lightly loosely heaped heaping rounded
  level scant generous generously about approximately approx roughly plus more extra optional store bought home made
  unflavoured unflavored unsweetened sweetened pure natural real regular standard ordinary of the a an some any
  whisked beaten separated at for to and in into with well thick thin whole full fat unbleached bleached raw
  certified slightly just few new fully dry dried instant quick powdered ground granulated liquid runny clear
  smooth creamy salted unsalted little bit each needed taste dusting greasing or from if you your using use can tin jar packet
  block bar stick piece wild tart tender waxed unwaxed untreated bio farm size premium high low reduced fat-free content half quartered halved
  cut up small pieces chunks cubes slices strips slivers flakes shavings pitted deseeded seeded hulled washed dried thawed frozen defrosted
  boiled cooked stewed steamed poached candied glazed boiling strong weak plain light dark mild sharp sweet sour cultured
  then not too but also as like such own old day yesterday left leftover spare enough handful pinch flat rough even nice lovely proper decent
  room-temp mashed torn broken crumbled flaked slivered split lengthwise scraped seeds removed skin skinned shelled unshelled halves bits
  free lactose full-fat lowfat skim nonfat thickened double single heavy whipping unsulphured unrefined refined virgin extra-virgin
  x total per cent percent see note notes above below optional required divided reserved remaining rest separately uk us usa brand type
  superfine bittersweet semisweet hard firm silken solid aluminum-free aluminium double-acting single-acting this that it its my our`)

/** Flavours, colours, sorts and origins that may stand before a head noun without changing its kind. */
export const SORTS =
  words(`raspberry strawberry blackcurrant apricot cherry orange lemon lime peach plum fig mango blueberry mixed berry rhubarb
  vanilla chocolate coffee almond hazelnut coconut caramel maple ginger cinnamon rose mint apple pear banana pumpkin pineapple
  light dark white brown golden black red green yellow blue pink purple sweet bitter strong mild extra virgin french english italian greek
  indian turkish irish danish german belgian american british swiss spanish canadian brazilian russian polish frozen canned tinned bottled dutch
  double single plain seedless cooked baking cooking cake sunflower rapeseed canola groundnut oat rice sea rock table soy soya devil spice
  seville granny smith navel medjool bourbon madagascar tahitian kosher maldon himalayan jumbo persian ceylon english flat-leaf morello sicilian
  royal sultana muscovado demerara wholemeal brown-skinned pink-skinned grape cranberry passionfruit toffee fudge`)

/** Words that hide what a thing is made of: nobody can vouch for it. */
export const HIDING = words('homemade favourite favorite favourites favorites leftover-cake whatever anything')
