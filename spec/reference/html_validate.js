// The faults that html-validate finds in a page, as JSON.
const { HtmlValidate } = require("html-validate");
const fs = require("fs");
const validate = new HtmlValidate({ extends: ["html-validate:standard", "html-validate:a11y"], root: true });
Promise.resolve(validate.validateString(fs.readFileSync(process.argv[2], "utf8"))).then((report) => {
  console.log(JSON.stringify(report.results.flatMap((one) => one.messages.map((m) => `${m.ruleId} ${m.line}: ${m.message}`))));
});
