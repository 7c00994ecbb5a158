/**
 * Terms of the concepts as people write them in their own books: everyday words, short forms and initials of the trade. English,
 * German, French, Spanish, Italian, Dutch, Nordic; by concept, as those of further languages are.
 */
export const EVERYDAY: Readonly<Record<string, string>> = {
  'intangible-cost':
    's w licences, software licences bought, software licenses, licences and software; software lizenzen; licencias de software; software in licenza, licenze software; licenties, licenties en software; programvaror, balanserade utgifter programvaror; site internet, site web, domain names',
  'intangible-depreciation': 'a a aplicaciones informaticas, aa inmovilizado intangible; ack avskr programvaror',
  'plant-cost':
    'polytunnel, polytunnels, glasshouses, greenhouses, milking parlour, grain dryer, forklift, forklifts, combine, farm machinery; maskiner och andra tekniska anlaggningar; oven, ovens, coffee roaster, roaster, espresso machine, coffee machine, mixer, kitchen equipment, compressor, lathe, kiln; four, petrin',
  'plant-depreciation': 'a a maquinaria, p m depn, plant depn; ack avskr maskiner; kum afa maschinen',
  'vehicles-cost':
    'van fleet, car fleet, fleet, pick up, quad bike, quad bikes; bilpark; fourgon, camion, utilitaire, camion benne; furgone; bestelwagen',
  'vehicles-depreciation':
    'vans accum depn, fleet depreciation, vehicle depn; wertberichtigung fuhrpark, kum afa pkw, kum afa fuhrpark; a a elementos de transporte; ack avskr bilar',
  'fixtures-cost':
    'f f, f f cost, f and f; gwg, geringwertige wirtschaftsguter, geringwertige guter; shopfront, shop front, shop refit, shopfront refit, office refit, shop fit out, carpets, blinds; agencements boutique',
  'fixtures-depreciation':
    'f f depn, f f depreciation, f f depn b f, fixtures depn; kum afa bga; a a mobiliario; ack avskr inventarier; depreciation to date shopfront, depreciation to date fittings; amort agencements',
  'computers-cost':
    'it kit, laptops, pcs, computer kit; edv anlagen, hardware; equipos informaticos; laptop, tablets, laptop and tablets, printer, till system, epos',
  'computers-depreciation': 'computer depn, it kit depn; a a equipos proceso informacion; kum afa edv',
  'livestock-cost':
    'suckler cows, breeding ewes, breeding herd, dairy herd, dairy cows, breeding stock, rams, bulls, sows; zuchtvieh, milchkuhe; cheptel; ganado reproductor; bestiame; fokvee, melkvee',
  crops:
    'standing crops, growing crops, standing barley, standing wheat, barley in store, grain in store, hay and straw, wheat in store, growing barley; feldinventar, ernte; cosechas; scorte agricole',
  'raw-materials':
    'stk raw mats, raw mats, rm stock; bestand rhb stoffe, rhb stoffe, rhb; ingredients in stock; flour, yeast, flour and yeast, ingredients, timber in stock, yarn and fabric, fabric in stock; stock farine, farine',
  'work-in-progress':
    'jobs in progress, uninvoiced work, unbilled work in progress; half finished goods, half finished furniture, part finished goods, partly finished',
  receivables: 'debtors ledger, sales ledger ctl, money owed by customers, customers owing',
  'staff-loans':
    'sub to employee, employee loan, staff subs; forderungen gg personal, forderungen gegen personal, vorschusse personal; kortfristiga fordringar hos anstallda',
  prepayments:
    'paid in advance, prepaid rates, prepaid insurance, prepaid rent, pre payments; paid ahead, insurance paid ahead, rent paid ahead, rent paid in advance, insurance paid in advance',
  bank: 'no 1 account, no 1 a c, current a c, main account, cheque account',
  'cash-in-transit': 'undeposited takings, takings not banked, cash not banked, undeposited cheques',
  accruals:
    'holiday pay accrual, accrued holiday pay, uninvoiced costs; urlaubsruckstellung; conges payes a payer, dettes provisionnees pour conges; uppl semesterloner, upplupna semesterloner, uppl kostnader; reservering vakantiegeld, vakantiegeld, te betalen vakantiegeld; skyldig feriepenger, skyldige feriepenge, feriepengeforpliktelse; lomapalkkavelka, lomapalkkajaksotus; electricity owed, costs owed, expenses owed, interest owed, accountant owed, gas owed, owed for electricity',
  'deferred-income':
    'season tickets in advance, memberships in advance, subscriptions in advance; rent received in advance, income received in advance, fees received in advance',
  'customer-deposits': 'gift vouchers unredeemed, gift vouchers, vouchers outstanding, gift cards, deposits taken',
  'corporation-tax-payable':
    'ct liability, ct payable, ct creditor, ct due; hp acreedora por impuesto de sociedades, h p acreedora imp sociedades',
  'hire-purchase':
    'hp creditor, hp tractor, hp creditor tractor, h p liability, finance lease creditor, hp van, hp agreement',
  'short-loan': 'prestamos a c p entidades de credito, deudas a c p con entidades de credito, prestamos c p',
  'directors-loan':
    'dla, d l a, dir loan, loan from director, owed to director; r c directie, rc dga; c c associe, c c associes',
  'long-loan': 'deudas a l p con entidades de credito, prestamos a l p entidades de credito',
  'other-loan':
    'loan from family, family loan, loan from friend; lan fran narstaende; lening familie; loan from my brother, loan from brother, loan from mother, loan from parents, private loan, loan from relative',
  'share-capital': 'ords, ordinary shares, ord shares, ords of 1 each, a ordinary shares',
  'retained-earnings':
    'p l reserve, p l reserve b fwd, p l b fwd, profit and loss b fwd, profits brought forward, p l account b f; profits kept from earlier years, profits of earlier years, profits kept, accumulated profits; ran crediteur, ran debiteur, ran',
  dividends: 'divs, divs paid, div paid, interim div',
  'sales-home': 'till sales, counter sales, takings, shop takings, bar takings',
  'sales-services': 'labour sales, workshop labour, workshop labour sales, labour charged, call out fees, hours billed',
  'sales-returns': 'credit notes to customers, credit notes issued, refunds to customers, sales credits',
  grants:
    'basic payment, basic payment scheme, farm payment, environmental scheme payments, farm subsidies; flachenpramie; aides pac; ayudas pac; gardsstod',
  'carriage-inwards': 'inward freight, freight in, haulage in, delivery from suppliers',
  'rent-received':
    'grundstucksertrage, mietertrage, mieteinnahmen; flat above shop rent in, rent in, rent from flat, rent from tenant, lodger rent',
  'employer-social': 'ers ni, er ni, ers nic, employers ni, er nic, employers nic',
  'employer-pension': 'ers pension, er pension, employers pension',
  'staff-training': 'staff xmas do, staff party, christmas party, staff do, staff meals, staff refreshments',
  'rates-water': 'biz rates, business rates, water rates, council tax',
  energy: 'elec, leccy, gas and elec, gas oil heating, heating oil; el, el for belysning; strom',
  cleaning: 'skip hire, bins, bin collection, window cleaning, refuse; mull',
  'vehicle-costs': 'mot, mots, mots and tyres, tyres, road tax, van repairs, breakdown cover',
  travel: 'parking, tolls, parking tolls, parking and tolls, train fares, taxis, hotels, mileage claims',
  telephone: 'broadband, mobile phones, wifi, landline, mobiles',
  stationery:
    'stamps, postage stamps, ink and toner, paper and envelopes; briefmarken; timbres; sellos; postzegels; frimerken',
  'software-subscriptions': 'saas, cloud subscriptions, apps, cloud software, hosting',
  'small-tools':
    'kleine aanschaffingen; forbrukningsinventarier; sundry tools, hand tools; screws and glue, screws, glue, nails, fixings, sandpaper, drill bits',
  'depreciation-charge':
    'depn, depn charge, depn for year, depn all classes, depreciation all classes; amort inmovilizado material, amortizacion inmovilizado material; afa, afa sachanlagen; avskr pa inventarier, avskrivningar pa inventarier, avskr pa maskiner; wear and tear, wear and tear of equipment; dot amort, dot aux amort, dotation amort',
  'amortisation-charge': 'abschr immaterielle vg, afa immaterielle; amort inmovilizado intangible',
  'card-charges':
    'card machine fees, terminal fees, swipe fees, merchant fees, payment provider fees, card reader fees, online payment fees',
  'interest-paid': 'loan int, hp interest, int paid, od interest; agios',
  'exchange-realised': 'fx diff, fx differences, fx loss, fx gain loss, exchange diffs',
  'corporation-tax': 'ct charge, ct for year',
  advertising: 'online ads, search ads, leaflets, signage',
  accountancy: 'bookkeeping, bookkeeper, year end accounts fee',
  'rent-deposit': 'depots et cautionnements, depots et cautionnements verses',
  'other-debtors': 'refund due, rates refund due, insurance claim due, refunds due, owed to us other',
  payables: 'invoices we owe, bills to pay, unpaid bills, bills we owe, suppliers we owe',
  card: 'charge card, corporate card, fuel card',
  'capital-introduced':
    'money put in by owner, owner put in, put in by owner, paid in by owner, own money put in, cash introduced',
  drawings: 'own use, for own use, taken by owner, owners takings; compte de l exploitant prelevements',
  'premises-repairs':
    'painting, painting the shop, decorating, redecoration, roof repair, plumber, plumbing, electrician',
  entertaining:
    'client lunches, lunches with clients, client meals, client gifts, meals with customers, hospitality to clients',
  'carriage-outwards': 'parcels to customers, parcels sent, parcel post, couriers, delivery to customers',
  'bad-debts':
    'customer gone bust, customers gone bust, insolvent customers, customer insolvent, unpaid and written off',
  'equipment-repairs':
    'fixing the oven, fixing machines, machine servicing, oven repair, oven service, boiler service, repair of machines',
  'equipment-hire': 'credit bail camion, credit bail vehicule, credit bail materiel, loa vehicule',
};
